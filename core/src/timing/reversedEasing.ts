import type { Easing } from '../model/schema';
import { easedDistance } from './easedDistance';
import { easingDefinition } from './easings';
import { chartOf } from './easings/ticks';

/**
 * The easing of a span that is travelled back: what came last comes first. What cannot be said by its numbers becomes an
 * explicit chart, with the same increments.
 * @param frames length of the span, whole
 */
export const reversedEasing = (easing: Easing, frames: number): Easing =>
  easingDefinition(easing.kind).reversed?.(easing) ??
  chartOf(Array.from({ length: frames }, (_, i) => 1 - easedDistance(easing, frames - 1 - i, frames, 1)));
