import type { Easing } from '../model/schema';
import { easedDistance } from './easedDistance';
import { easingDefinition } from './easings';
import { chartOf } from './easings/ticks';

export type Halves = readonly [before: Easing, after: Easing];

const EVEN: Easing = { kind: 'even' };

/** Less of the way than this is none: nothing can be scaled to it. */
const NO_WAY = 1e-9;

/** A stretch of a span as an explicit chart: shares of its own way at the end of each of its frames, or near them. */
function chartWithin(easing: Easing, frames: number, from: number, until: number): Easing {
  const at = (x: number): number => easedDistance(easing, x, frames, 1);
  const [start, displacement] = [at(from), at(until) - at(from)];
  if (Math.abs(displacement) < NO_WAY) return EVEN;
  const ticks = Math.max(1, Math.round(until - from));
  const step = (until - from) / ticks;
  return chartOf(Array.from({ length: ticks }, (_, i) => (at(from + (i + 1) * step) - start) / displacement));
}

/**
 * The easings of both parts of a span that is divided, so that every frame stays where it was where that is done on a
 * whole frame. What cannot be said by a number or two becomes an explicit chart.
 * @param x frames after the start, 0 < x < frames
 */
export const splitEasing = (easing: Easing, x: number, frames: number): Halves =>
  easingDefinition(easing.kind).split?.(easing, x, frames) ?? [
    chartWithin(easing, frames, 0, x),
    chartWithin(easing, frames, x, frames),
  ];
