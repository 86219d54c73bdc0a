import { ShotError } from '../errors';
import type { Easing, Mark, Move } from '../shot/schema';
import { firstFrame, lastFrame } from './placeInTime';

/** Share of a span that a fresh move leaves and arrives over. */
const FRESH_RAMP_SHARE = 1 / 4;

/** The easing of a fresh span: leaves and arrives slowly over a quarter of it each. */
export function freshEasing(frames: number): Easing {
  const rampFrames = Math.round(frames * FRESH_RAMP_SHARE);
  return { kind: 'ramped', leaveFrames: rampFrames, arriveFrames: rampFrames, ramp: 'steady' };
}

/**
 * The move stretched or compressed to begin and end on given frames. Marks keep their share of the
 * time, on whole frames, each at least one frame after the one before it.
 * @throws ShotError `out-of-range` when there are too few frames for the marks
 */
export function withFrames(move: Move, first: number, last: number): Move {
  const from = firstFrame(move);
  const until = lastFrame(move);
  if (first === from && last === until) return move;
  const { marks } = move;
  if (!Number.isInteger(first) || !Number.isInteger(last) || last - first < marks.length - 1)
    throw new ShotError(
      'out-of-range',
      `A move with ${marks.length} marks needs at least ${marks.length} frames.`,
    );
  const share = (last - first) / (until - from);
  let before = first - 1;
  return {
    ...move,
    marks: marks.map((mark: Mark, i): Mark => {
      const latest = last - (marks.length - 1 - i);
      const frame = Math.min(latest, Math.max(before + 1, Math.round(first + (mark.frame - from) * share)));
      before = frame;
      return { ...mark, frame };
    }),
  };
}
