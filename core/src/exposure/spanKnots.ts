import { ShotError, outOfRange } from '../model/errors';
import { type Easing, type Move, type Shot } from '../model/schema';
import { exposuresOf } from './exposures';
import { chartOf } from '../timing/easings/ticks';
import { isHold } from '../timing/isHold';
import { fractionAt, spanIndexAt } from '../timing/placeInTime';

export interface SpanKnots {
  readonly index: number;
  /** The first is the frame of its mark, the last that of the next one. */
  readonly frames: readonly number[];
  /** Share of the way at each of them: 0 at the first and 1 at the last. */
  readonly shares: readonly number[];
}

/** How far a span goes, as a share of the arc, signed. */
export const spanDisplacement = ({ marks }: Pick<Move, 'marks'>, index: number): number =>
  marks[index + 1]!.fraction - marks[index]!.fraction;

/** @throws ShotError `out-of-range` for a hold: there is no way to be shared */
export function spanKnots(move: Move, shot: Pick<Shot, 'lengthFrames'>, index: number): SpanKnots {
  const [from, to] = [move.marks[index], move.marks[index + 1]];
  if (!from || !to) throw new ShotError('unknown-id', 'There is no span there.');
  if (isHold(from, to)) throw outOfRange('The figure holds here: there is no spacing to change.');
  const displacement = spanDisplacement(move, index);
  const inside = exposuresOf(move, shot)
    .map(({ frame }) => frame)
    .filter((frame) => frame > from.frame && frame < to.frame);
  const frames = [from.frame, ...inside, to.frame];
  const shares = frames.map((frame) => (fractionAt(move, frame) - from.fraction) / displacement);
  return { index, frames, shares: [0, ...shares.slice(1, -1), 1] };
}

/** The span whose frames after its first mark, up to and with its last, hold a frame. */
export const spanArrivingAt = (move: Pick<Move, 'marks'>, frame: number): number => {
  const index = spanIndexAt(move, frame);
  return index > 0 && move.marks[index]!.frame === frame ? index - 1 : index;
};

const EQUAL_STEPS = 1e-9;

/** Shares of the way at some frames, as a chart with a tick for each step: frames between stand in a straight line. */
export function chartThrough({ frames }: Pick<SpanKnots, 'frames'>, shares: readonly number[]): Easing {
  const step = frames[1]! - frames[0]!;
  const isRegular = frames.every((f, i) => i === 0 || Math.abs(f - frames[i - 1]! - step) < EQUAL_STEPS);
  if (isRegular) return chartOf(shares.slice(1));
  const fractions: number[] = [];
  for (let k = 1; k < frames.length; k++) {
    const gap = frames[k]! - frames[k - 1]!;
    for (let j = 1; j <= gap; j++) fractions.push(shares[k - 1]! + ((shares[k]! - shares[k - 1]!) * j) / gap);
  }
  return chartOf(fractions);
}

/** The move with other shares of the way at the knots of a span: from then on it goes by chart. */
export function withShares(move: Move, knots: SpanKnots, shares: readonly number[]): Move {
  const easing = chartThrough(knots, shares);
  return {
    ...move,
    marks: move.marks.map((mark, i) => (i === knots.index ? { ...mark, easing } : mark)),
  };
}
