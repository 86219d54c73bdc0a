import type { Mark, Move } from '../model/schema';
import { easedDistance } from './easedDistance';
import { flowFraction } from './flow';
import { isHold } from './isHold';
import { fractionOutside } from './outside';

export type TimedMark = Pick<Mark, 'frame' | 'fraction' | 'kind' | 'easing'>;

/** A timing without what belongs to marks alone. */
type Timed = { readonly marks: readonly TimedMark[] };
type TimedWithin = Timed & Pick<Move, 'before' | 'after'>;

export interface Span {
  readonly from: Mark;
  readonly to: Mark;
  readonly frames: number;
  readonly isHold: boolean;
}

/** The frame of the first mark, from which the exposures are counted. */
export const firstFrame = (move: Timed): number => move.marks[0]!.frame;
export const lastMark = <M extends TimedMark>({ marks }: { readonly marks: readonly M[] }): M =>
  marks[marks.length - 1]!;
/** The frame of the last mark. */
export const lastFrame = (move: Timed): number => lastMark(move).frame;

/** The spans of a move, in order. */
export function spansOf(move: Move): Span[] {
  return move.marks.slice(1).map((to, i) => {
    const from = move.marks[i]!;
    return { from, to, frames: to.frame - from.frame, isHold: isHold(from, to) };
  });
}

/** The span that a frame between a move's first and last mark lies in: the index of the mark it starts at. */
export function spanIndexAt({ marks }: Timed, frame: number): number {
  let low = 0;
  let high = marks.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (marks[middle]!.frame <= frame) low = middle;
    else high = middle;
  }
  return low;
}

function fractionBetween(marks: Timed['marks'], frame: number): number {
  if (frame <= marks[0]!.frame) return marks[0]!.fraction;
  const i = spanIndexAt({ marks }, frame);
  const [from, to] = [marks[i]!, marks[i + 1]!];
  if (frame >= to.frame) return to.fraction;
  if (from.easing.kind === 'flow') return flowFraction(marks, i, frame);
  const travelled = easedDistance(
    from.easing,
    frame - from.frame,
    to.frame - from.frame,
    to.fraction - from.fraction,
  );
  return from.fraction + travelled;
}

/**
 * Where a move is on a frame, as a share of its arc's length. Outside its marks it does what it was set to do;
 * on an open arc that may lead past an end.
 * @param frame real
 */
export function fractionAt(move: TimedWithin, frame: number): number {
  const { marks } = move;
  if (frame >= marks[0]!.frame && frame <= marks[marks.length - 1]!.frame)
    return fractionBetween(marks, frame);
  return fractionOutside(move, frame, (inside) => fractionBetween(marks, inside));
}

interface KnownSpan {
  readonly to: TimedMark;
  readonly fractions: Float64Array;
}

const spans = new WeakMap<TimedMark, KnownSpan>();

/** The places of a span on each of its frames, its first mark's included. Remembered as long as both marks are. */
function fractionsOfSpan(from: TimedMark, to: TimedMark): Float64Array {
  const known = spans.get(from);
  if (known?.to === to) return known.fractions;
  const frames = to.frame - from.frame;
  const displacement = to.fraction - from.fraction;
  const fractions = Float64Array.from(
    { length: frames },
    (_, x) => from.fraction + easedDistance(from.easing, x, frames, displacement),
  );
  spans.set(from, { to, fractions });
  return fractions;
}

/**
 * Where a move is on each frame of a shot, as shares of its arc's length: index 0 is frame 1. The same as
 * `fractionAt` for each of them; of a move that was changed only the spans that are new are worked out.
 */
export function fractionsOnFrames(move: TimedWithin, frameCount: number): Float64Array {
  const { marks } = move;
  const fractions = new Float64Array(frameCount);
  const [first, last] = [firstFrame(move), lastFrame(move)];
  for (let f = 1; f < Math.min(first, frameCount + 1); f++) fractions[f - 1] = fractionAt(move, f);
  for (let i = 0; i + 1 < marks.length; i++) {
    const [from, to] = [marks[i]!, marks[i + 1]!];
    if (from.frame > frameCount) break;
    if (from.easing.kind === 'flow')
      for (let f = from.frame; f < Math.min(to.frame, frameCount + 1); f++)
        fractions[f - 1] = fractionAt(move, f);
    else fractions.set(fractionsOfSpan(from, to).subarray(0, frameCount + 1 - from.frame), from.frame - 1);
  }
  for (let f = last; f <= frameCount; f++) fractions[f - 1] = fractionAt(move, f);
  return fractions;
}
