import type { Mark, Move, Shot } from '../model/schema';
import { spanKnots } from '../exposure/spanKnots';

export interface Rung {
  readonly frame: number;
  /** Share of the way from one key to the other; outside 0 to 1 where it goes past them. */
  readonly share: number;
}

export interface Ladder {
  readonly from: Mark;
  readonly to: Mark;
  readonly rungs: readonly Rung[];
}

/**
 * The chart of a span: its marks are the keys, its exposures the drawings between.
 * @param index which mark the span starts at
 * @throws ShotError `out-of-range` for a hold, which has none
 */
export function ladderOf(shot: Pick<Shot, 'lengthFrames'>, move: Move, index: number): Ladder {
  const { frames, shares } = spanKnots(move, shot, index);
  return {
    from: move.marks[index]!,
    to: move.marks[index + 1]!,
    rungs: frames.slice(1, -1).map((frame, i) => ({ frame, share: shares[i + 1]! })),
  };
}
