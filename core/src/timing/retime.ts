import { outOfRange } from '../model/errors';
import type { Easing, EasingKind, Mark, Move } from '../model/schema';
import { remapFrames } from './remapFrames';
import { easedDistance } from './easedDistance';
import { easingDefinition } from './easings';
import { chartOf } from './easings/ticks';
import { stretchedEasing } from './stretchedEasing';
import { firstFrame, lastFrame } from './placeInTime';

/**
 * The move stretched or compressed to begin and end on given frames. Marks keep their share of the
 * time, on whole frames, each at least one frame after the one before it; leaving and arriving, which are
 * counted in frames, stretch with it, so that all increments change by one factor.
 * @throws ShotError `out-of-range` when there are too few frames for the marks
 */
export function withFrames(move: Move, first: number, last: number): Move {
  const from = firstFrame(move);
  const until = lastFrame(move);
  if (first === from && last === until) return move;
  const { marks } = move;
  if (!Number.isInteger(first) || !Number.isInteger(last) || last - first < marks.length - 1)
    throw outOfRange(`A move with ${marks.length} marks needs at least ${marks.length} frames.`);
  const share = (last - first) / (until - from);
  let before = first - 1;
  return {
    ...move,
    ...remapFrames(move, (frame) => Math.round(first + (frame - from) * share)),
    marks: marks.map((mark: Mark, i): Mark => {
      const latest = last - (marks.length - 1 - i);
      const frame = Math.min(latest, Math.max(before + 1, Math.round(first + (mark.frame - from) * share)));
      before = frame;
      return { ...mark, frame, easing: stretchedEasing(mark.easing, share) };
    }),
  };
}

/**
 * An easing as an explicit chart: the share of the way at the end of each frame of a span.
 * @param frames length of the span, whole, ≥ 1
 */
export const ticksFrom = (easing: Easing, frames: number): Easing =>
  chartOf(Array.from({ length: frames }, (_, i) => easedDistance(easing, i + 1, frames, 1)));

/** A fresh easing of a kind for a span, as a place to start from; a chart starts as what was there. */
export const freshEasingOf = (kind: EasingKind, frames: number, before: Easing): Easing =>
  easingDefinition(kind).fresh(frames, (x) => easedDistance(before, x, frames, 1));
