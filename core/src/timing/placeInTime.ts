import type { Mark, Move } from '../shot/schema';
import { easedDistance } from './easedDistance';
import { flowFraction } from './flow';

/** The frames between two neighbouring marks. */
export interface Span {
  readonly from: Mark;
  readonly to: Mark;
  /** Number of intervals on ones. */
  readonly frames: number;
  /** True when the figure stays put. */
  readonly isHold: boolean;
}

export const firstFrame = (move: Move): number => move.marks[0]!.frame;
export const lastFrame = (move: Move): number => move.marks[move.marks.length - 1]!.frame;

/** The spans of a move, in order. */
export function spansOf(move: Move): Span[] {
  return move.marks.slice(1).map((to, i) => {
    const from = move.marks[i]!;
    return { from, to, frames: to.frame - from.frame, isHold: from.fraction === to.fraction };
  });
}

/**
 * Where a move is on a frame, as a share of its arc's length. Before the first mark and after the
 * last one it holds.
 * @param frame real
 */
export function fractionAt(move: Move, frame: number): number {
  const { marks } = move;
  const first = marks[0]!;
  if (frame <= first.frame) return first.fraction;
  let low = 0;
  let high = marks.length - 1;
  if (frame >= marks[high]!.frame) return marks[high]!.fraction;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (marks[middle]!.frame <= frame) low = middle;
    else high = middle;
  }
  const from = marks[low]!;
  const to = marks[high]!;
  if (from.easing.kind === 'flow') return flowFraction(marks, low, frame);
  const travelled = easedDistance(
    from.easing,
    frame - from.frame,
    to.frame - from.frame,
    to.fraction - from.fraction,
  );
  return from.fraction + travelled;
}
