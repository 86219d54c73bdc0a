import type { Zod } from '../../model/zod';
import { MAX_SHOT_FRAMES } from '../../model/limits';

/** Share of the way of a span on a chart; a span that all but comes back has large ones. */
export const MAX_SHARE = 1e6;

/** Frames as an easing counts them: they need not be whole. */
export const easingFrames = (z: Zod) => z.number().min(0).max(MAX_SHOT_FRAMES);
export const unit = (z: Zod) => z.number().min(0).max(1);

export const within = (value: number, least: number, most: number): number =>
  Math.min(most, Math.max(least, value));

/** Digits to which frames of easings are kept, so that stretching there and back changes nothing to be seen. */
const FRAME_DIGITS = 9;

/** Frames of an easing for a span of another length. */
export const stretchedFrames = (frames: number, factor: number): number =>
  Math.min(MAX_SHOT_FRAMES, Number((frames * factor).toFixed(FRAME_DIGITS)));
