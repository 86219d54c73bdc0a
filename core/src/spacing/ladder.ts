import type { Mark, Move, Shot } from '../model/schema';
import type { DrawnThrough } from '../exposure/drawnThrough';
import { spanKnots } from '../exposure/spanKnots';
import { numberedDrawings } from './drawingNumbers';

export interface Rung {
  readonly frame: number;
  /** Share of the way from one key to the other; outside 0 to 1 where it goes past them. */
  readonly share: number;
}

/** A key at an end of a chart. */
export type LadderEnd = Pick<Mark, 'frame' | 'label'>;

export interface Ladder<End extends LadderEnd = Mark> {
  readonly from: End;
  readonly to: End;
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

/** The chart of two drawings that are drawn through: its rungs are the in-betweens. */
export function ladderThrough(shot: Shot, move: Move, { from, to }: DrawnThrough): Ladder<LadderEnd> {
  const label = (frame: number): string => move.marks.find((mark) => mark.frame === frame)?.label ?? '';
  return {
    from: { frame: from.frame, label: label(from.frame) },
    to: { frame: to.frame, label: label(to.frame) },
    rungs: numberedDrawings(shot, move)
      .filter(({ role, through }) => role !== 'key' && through?.from === from)
      .map(({ frame, share }) => ({ frame, share })),
  };
}
