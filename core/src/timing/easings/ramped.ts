import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { type ChartDistance, defineEasing } from './easingDefinition';
import { easingFrames, stretchedFrames } from './limits';

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('ramped'),
    leaveFrames: easingFrames(z),
    arriveFrames: easingFrames(z),
    ramp: z.enum(['steady', 'soft']),
  });

type Ramped = z.infer<ReturnType<typeof schema>>;
type RampKind = Ramped['ramp'];

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

function rampedDistance(ramp: RampKind, x: number, frames: number, speed: number): number {
  if (frames === 0) return 0;
  if (ramp === 'steady') return (speed * x * x) / (2 * frames);
  return speed * (x / 2 - (frames / (2 * Math.PI)) * Math.sin((Math.PI * x) / frames));
}

/** Share of a span that a fresh one leaves and arrives over. */
const FRESH_SHARE = 1 / 4;

export function freshRamp(frames: number): Ramped {
  const rampFrames = Math.round(frames * FRESH_SHARE);
  return { kind: 'ramped', leaveFrames: rampFrames, arriveFrames: rampFrames, ramp: 'steady' };
}

/** The ramp of whole frames that fits best: a coarse look at all of them, then from the best one downhill. */
function nearestRamp(ramp: RampKind, frames: number, { square }: ChartDistance<Ramped>): Ramped {
  const of = (leaveFrames: number, arriveFrames: number): Ramped => ({
    kind: 'ramped',
    leaveFrames,
    arriveFrames,
    ramp,
  });
  const step = Math.max(1, Math.ceil(frames / 24));
  let best = { a: 0, b: 0, cost: Infinity };
  const look = (a: number, b: number): boolean => {
    if (a < 0 || b < 0 || a + b > frames) return false;
    const cost = square(of(a, b));
    if (cost >= best.cost) return false;
    best = { a, b, cost };
    return true;
  };
  for (let a = 0; a <= frames; a += step) for (let b = 0; a + b <= frames; b += step) look(a, b);
  for (let by = step; by >= 1; by = by === 1 ? 0 : Math.ceil(by / 2)) {
    let isMoving = true;
    while (isMoving) {
      const { a, b } = best;
      isMoving = [
        [a + by, b],
        [a - by, b],
        [a, b + by],
        [a, b - by],
        [a + by, b - by],
        [a - by, b + by],
      ].some(([c, d]) => look(c!, d!));
    }
  }
  return of(best.a, best.b);
}

/** Leaves over some frames, arrives over some, and goes on at one speed between; counted in frames. */
export const ramped = defineEasing<ReturnType<typeof schema>>({
  kind: 'ramped',
  schema,
  distanceAt: (easing, x, frames, distance) => {
    const { leaveFrames, arriveFrames, speed } = rampOf(easing, frames, distance);
    if (x < leaveFrames) return rampedDistance(easing.ramp, x, leaveFrames, speed);
    const left = frames - x;
    if (left < arriveFrames) return distance - rampedDistance(easing.ramp, left, arriveFrames, speed);
    return speed * (leaveFrames / 2 + (x - leaveFrames));
  },
  fresh: freshRamp,
  stretched: (easing, factor) => ({
    ...easing,
    leaveFrames: stretchedFrames(easing.leaveFrames, factor),
    arriveFrames: stretchedFrames(easing.arriveFrames, factor),
  }),
  // Divided where it goes at its steady speed, each part keeps its own end.
  split: (easing, x, frames) => {
    const { leaveFrames, arriveFrames } = rampOf(easing, frames, 1);
    if (x < leaveFrames || x > frames - arriveFrames) return null;
    return [
      { ...easing, leaveFrames, arriveFrames: 0 },
      { ...easing, leaveFrames: 0, arriveFrames },
    ];
  },
  nearest: (distance, frames) => [
    nearestRamp('steady', frames, distance),
    nearestRamp('soft', frames, distance),
  ],
  reversed: (easing) => ({ ...easing, leaveFrames: easing.arriveFrames, arriveFrames: easing.leaveFrames }),
});
