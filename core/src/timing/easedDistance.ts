import type { Easing } from '../shot/schema';
import { cubicEasing } from './cubicEasing';
import { bounceEasing, settleEasing, slowPlaceEasing, ticksEasing } from './naturalEasings';

/** Frames over which a span really leaves and arrives, and its speed between, per frame. */
export interface Ramp {
  readonly leaveFrames: number;
  readonly arriveFrames: number;
  /** Speed between leaving and arriving, distance per frame: the largest of the span. */
  readonly speed: number;
}

/**
 * The ramp that covers `distance` in `frames`. When leaving and arriving do not fit into the span
 * both shrink in proportion.
 */
export function rampOf(
  easing: { leaveFrames: number; arriveFrames: number },
  frames: number,
  distance: number,
): Ramp {
  const asked = easing.leaveFrames + easing.arriveFrames;
  const shrink = asked > frames && asked > 0 ? frames / asked : 1;
  const leaveFrames = easing.leaveFrames * shrink;
  const arriveFrames = easing.arriveFrames * shrink;
  return {
    leaveFrames,
    arriveFrames,
    speed: distance / (frames - (leaveFrames + arriveFrames) / 2),
  };
}

/** Distance covered x frames into a ramp of `frames` frames that ends at `speed`. */
function rampedDistance(kind: 'steady' | 'soft', x: number, frames: number, speed: number): number {
  if (frames === 0) return 0;
  if (kind === 'steady') return (speed * x * x) / (2 * frames);
  return speed * (x / 2 - (frames / (2 * Math.PI)) * Math.sin((Math.PI * x) / frames));
}

/** Share of the way of an easing that knows nothing of frames. @param u share of the time, 0 to 1 */
function easedShare(easing: Exclude<Easing, { kind: 'ramped' }>, u: number): number {
  switch (easing.kind) {
    case 'even':
      return u;
    case 'curve':
      return cubicEasing(u, easing);
    case 'flow':
      return u * u * (3 - 2 * u);
    case 'slow-place':
      return slowPlaceEasing(u, easing.at, easing.strength);
    case 'settle':
      return settleEasing(u, easing.overshoot, easing.swings);
    case 'bounce':
      return bounceEasing(u, easing.count, easing.restitution);
    case 'snap':
      return 0;
    case 'ticks':
      return ticksEasing(u, easing.fractions);
  }
}

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
  if (easing.kind !== 'ramped') return distance * easedShare(easing, x / frames);
  const { leaveFrames, arriveFrames, speed } = rampOf(easing, frames, distance);
  if (x < leaveFrames) return rampedDistance(easing.ramp, x, leaveFrames, speed);
  const left = frames - x;
  if (left < arriveFrames) return distance - rampedDistance(easing.ramp, left, arriveFrames, speed);
  return speed * (leaveFrames / 2 + (x - leaveFrames));
}
