import { marksBetweenExposures } from '../exposure/exposures';
import type { Check, CheckedMove } from './check';
import { exposeFrame } from './exposeFrame';

/** A mark has to be on a frame that begins an exposure, or what it asks for is not seen. The last one apart. */
export const unseenMark: Check<CheckedMove> = {
  gravity: 'mistake',
  find: ({ move, shot, frameNumber }) =>
    marksBetweenExposures(move, shot).map((frame) => ({
      from: frame,
      until: frame,
      sentence: `The mark on frame ${frameNumber(frame)} falls between exposures and is not seen.`,
      fix: exposeFrame(move, frame, frameNumber),
    })),
};
