import { outOfRange } from '../model/errors';
import type { Move } from '../model/schema';
import type { FrameMap } from './frameMap';
import { firstFrame, lastFrame, type Span, spansOf } from './placeInTime';

/** Holds last longer and shorter with everything else, or keep their frames. */
export type HoldsInDuration = 'stretch' | 'keep';

const framesIn = (spans: readonly Span[]): number => spans.reduce((sum, { frames }) => sum + frames, 0);

/** Frames of a move from its first mark to its last, and how many of them it is held for. */
export interface Duration {
  readonly frames: number;
  readonly held: number;
}

export function durationOf(move: Move): Duration {
  return {
    frames: lastFrame(move) - firstFrame(move),
    held: framesIn(spansOf(move).filter(({ isHold }) => isHold)),
  };
}

/** The frames of a move that lasts longer by a factor; where holds keep their frames, only the rest does. */
export function framesTimes({ frames, held }: Duration, factor: number, holds: HoldsInDuration): number {
  const kept = holds === 'keep' ? held : 0;
  return Math.round(kept + (frames - kept) * factor);
}

/**
 * A move in another number of frames from where it begins: all spans change by one factor, or all but the holds.
 * @param frames from its first mark to its last, whole
 * @returns where each frame comes to lie
 * @throws ShotError `out-of-range` where that is too few, or nothing but holds would change
 */
export function durationMap(move: Move, frames: number, holds: HoldsInDuration): FrameMap {
  const spans = spansOf(move);
  const { frames: before, held } = durationOf(move);
  const kept = holds === 'keep' ? held : 0;
  const least = kept + spans.length - (holds === 'keep' ? spans.filter(({ isHold }) => isHold).length : 0);
  if (!Number.isInteger(frames) || frames < least || before === kept)
    throw outOfRange(
      before === kept
        ? 'The move does nothing but hold: let its holds change too.'
        : `This move needs at least ${least} frames.`,
    );
  const factor = (frames - kept) / (before - kept);
  const factorOf = ({ isHold }: Span): number => (isHold && holds === 'keep' ? 1 : factor);
  const starts: number[] = [firstFrame(move)];
  spans.forEach((span, i) => starts.push(starts[i]! + span.frames * factorOf(span)));
  return (frame) => {
    const first = firstFrame(move);
    if (frame <= first) return frame;
    const i = spans.findIndex(({ to }) => frame <= to.frame);
    if (i < 0) return frame + frames - before;
    return starts[i]! + (frame - spans[i]!.from.frame) * factorOf(spans[i]!);
  };
}
