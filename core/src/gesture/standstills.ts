import { distance, type Vector } from '../arc/vector';

export interface Standstill {
  readonly from: number;
  readonly until: number;
  readonly about: number;
}

/** A rest is at least so many intervals long. */
const MIN_INTERVALS = 3;
/** A hand that rests stays within this share of the allowed deviation. */
const STILL_SHARE = 0.5;
/** A hand that creeps goes the second half of a way as fast as the first; one that rested goes it so many times faster. */
const LEAVES_FASTER = 3;

function staysUntil(points: readonly Vector[], from: number, about: Vector, reach: number): number {
  let until = from;
  while (until + 1 < points.length && distance(points[until + 1]!, about) <= reach) until++;
  return until;
}

/**
 * Where a hand rested. It trembles while it does: it rests as long as it stays near one place and then leaves
 * it much faster than it drifted. A slow and steady way is no rest.
 * @param points where it was on each frame
 * @param allowedDeviation field units
 */
export function standstills(points: readonly Vector[], allowedDeviation: number): Standstill[] {
  const reach = allowedDeviation * STILL_SHARE;
  const found: Standstill[] = [];
  let k = 0;
  while (k < points.length - MIN_INTERVALS) {
    const about = points[k]!;
    const near = staysUntil(points, k, about, reach / 2);
    const intervals = near - k;
    if (intervals >= MIN_INTERVALS) {
      const far = staysUntil(points, k, about, reach);
      // At the end it does not leave any more: there it has hardly drifted.
      const isRest =
        near === points.length - 1
          ? distance(points[near]!, about) <= reach / 2 / LEAVES_FASTER
          : intervals >= LEAVES_FASTER * (far - near);
      if (isRest) {
        found.push({ from: k, until: near, about: k + (intervals >> 1) });
        k = near;
      }
    }
    k++;
  }
  return found;
}
