import type { Easing } from '../model/schema';
import { easingDefinition } from './easings';

/**
 * How far a span has travelled x frames after its first mark. A span that flows is taken to stop at both
 * ends here; how it passes through its marks is known to its move alone (`fractionAt`).
 * @param frames length of the span, > 0
 * @param distance of the whole span, signed; any unit, the result has the same
 * @param x real, clamped to [0, frames]
 */
export function easedDistance(easing: Easing, x: number, frames: number, distance: number): number {
  if (x <= 0) return 0;
  if (x >= frames) return distance;
  return easingDefinition(easing.kind).distanceAt(easing, x, frames, distance);
}
