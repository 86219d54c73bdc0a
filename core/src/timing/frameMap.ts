import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Mark, Move } from '../model/schema';
import { firstFrame, lastFrame } from './placeInTime';
import { remapFrames } from './remapFrames';
import { stretchedEasing } from './stretchedEasing';

/** Where in time a frame comes to lie: real, rising or level. */
export type FrameMap = (frame: number) => number;

/** The whole frame of a moment: halves are rounded up. */
export const wholeFrame = (moment: number): number => Math.floor(moment + 0.5);

/** A mark that did not come to lie where it was asked to, but on the whole frame next to it. */
export interface RoundedMark {
  readonly frame: number;
  /** How much later that is than the moment that was asked for, frames; earlier is negative. */
  readonly by: number;
}

/** Less than this is not rounding but arithmetic, frames. */
const MIN_ROUNDING = 1e-9;

/** Marks of a move that a map rounds, in order of time. */
export const roundedMarks = ({ marks }: Pick<Move, 'marks'>, map: FrameMap): readonly RoundedMark[] =>
  marks
    .map(({ frame }) => ({ frame: wholeFrame(map(frame)), by: wholeFrame(map(frame)) - map(frame) }))
    .filter(({ by }) => Math.abs(by) > MIN_ROUNDING);

function meeting(marks: Move['marks'], map: FrameMap): readonly [number, number] | null {
  const i = marks.findIndex(
    (mark, k) => k > 0 && wholeFrame(map(mark.frame)) <= wholeFrame(map(marks[k - 1]!.frame)),
  );
  return i < 0 ? null : [marks[i - 1]!.frame, marks[i]!.frame];
}

/**
 * The move on other frames. Marks lie on the whole frames next to the moments that they are sent to; what easings count
 * in frames stretches with their span, so that its increments change by one factor; exposures, skips, places by hand,
 * drawings, the cycle and keys go along.
 * @throws ShotError `out-of-range` when two marks would fall on one frame, or one before the first
 */
export function withFrameMap(move: Move, map: FrameMap): Move {
  const met = meeting(move.marks, map);
  if (met)
    throw outOfRange(
      sentenceWith`The marks on frames ${frameName(met[0])} and ${frameName(met[1])} would fall on one frame.`,
    );
  if (wholeFrame(map(firstFrame(move))) < 1) throw outOfRange('The move would begin before frame 1.');
  return {
    ...move,
    ...remapFrames(move, (frame) => wholeFrame(map(frame))),
    marks: move.marks.map((mark, i): Mark => {
      const next = move.marks[i + 1];
      const factor = next ? (map(next.frame) - map(mark.frame)) / (next.frame - mark.frame) : 1;
      return { ...mark, frame: wholeFrame(map(mark.frame)), easing: stretchedEasing(mark.easing, factor) };
    }),
  };
}

/** The map between two rates that keeps seconds: f′ = 1 + (f − 1)·r′/r. */
export const atRate =
  (before: number, after: number): FrameMap =>
  (frame) =>
    1 + ((frame - 1) * after) / before;

export const isWithin = (move: Move, frame: number): boolean =>
  frame > firstFrame(move) && frame < lastFrame(move);
