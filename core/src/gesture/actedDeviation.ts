import type { Gesture, Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { momentsOf } from './gesture';

export interface ActedDeviation {
  readonly largest: number;
  readonly frame: number;
}

interface Known {
  readonly shot: Shot;
  readonly deviation: ActedDeviation | null;
}

const known = new WeakMap<Move, Known>();

/** The gesture that a move was acted with; null for none. */
export const gestureOf = (shot: Shot, move: Move): Gesture | null =>
  shot.gestures.find(({ id }) => id === move.acted?.gestureId) ?? null;

function work(shot: Shot, move: Move): ActedDeviation | null {
  const gesture = gestureOf(shot, move);
  if (!gesture) return null;
  const [first, last] = [move.marks[0]!.frame, move.marks[move.marks.length - 1]!.frame];
  const { x, y } = evaluateMove(shot, move);
  let found = { largest: 0, frame: first };
  momentsOf(gesture, last - first).forEach((moment, i) => {
    const at = Math.min(x.length, first + i) - 1;
    const away = Math.hypot(x[at]! - moment.x, y[at]! - moment.y);
    if (away > found.largest) found = { largest: away, frame: first + i };
  });
  return found;
}

/**
 * The largest distance between where a move puts its figure and where the hand was at that moment, over all of
 * its frames. What was changed by hand since counts as well. Null for a move that was not acted.
 */
export function actedDeviation(shot: Shot, move: Move): ActedDeviation | null {
  const before = known.get(move);
  if (before && before.shot === shot) return before.deviation;
  const deviation = work(shot, move);
  known.set(move, { shot, deviation });
  return deviation;
}
