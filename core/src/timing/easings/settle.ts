import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';
import { within } from './limits';
import { nearestAmong, nearestOf } from './nearestOf';

const MIN_OVERSHOOT = 0.01;
const MAX_OVERSHOOT = 0.9;

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('settle'),
    overshoot: z.number().min(MIN_OVERSHOOT).max(MAX_OVERSHOOT),
    swings: z.number().int().min(1).max(20),
  });

type Settle = z.infer<ReturnType<typeof schema>>;

const SOLVING_STEPS = 60;

/** What is left of a swing that was let go at rest, after θ radians, when each half swing keeps `kept` of it. */
function swingLeft(theta: number, kept: number): number {
  const damping = -Math.log(kept) / Math.PI;
  return Math.exp(-damping * theta) * (Math.cos(theta) + damping * Math.sin(theta));
}

let solved = { overshoot: Number.NaN, swings: 0, kept: 0 };

/** The share that each half swing keeps so that the first one passes the target by `overshoot`. */
function keptFor(overshoot: number, swings: number): number {
  if (solved.overshoot === overshoot && solved.swings === swings) return solved.kept;
  let [low, high] = [1e-9, 0.999];
  for (let i = 0; i < SOLVING_STEPS; i++) {
    const kept = (low + high) / 2;
    const passed = (1 + kept) / (1 - swingLeft(Math.PI * (swings + 1), kept)) - 1;
    if (passed < overshoot) low = kept;
    else high = kept;
  }
  solved = { overshoot, swings, kept: (low + high) / 2 };
  return solved.kept;
}

/**
 * Share of the way of a damped swing that is let go at rest, passes its target and ends on it at rest: a
 * damped harmonic oscillator, scaled so that its last turning point is the target.
 * @param u share of the time, 0 to 1
 * @param overshoot how far it passes the target the first time, share of the way, > 0
 * @param swings how often it passes the target, ≥ 1
 */
export function settleEasing(u: number, overshoot: number, swings: number): number {
  if (u <= 0) return 0;
  if (u >= 1) return 1;
  const kept = keptFor(overshoot, swings);
  const end = Math.PI * (swings + 1);
  return (1 - swingLeft(u * end, kept)) / (1 - swingLeft(end, kept));
}

const MAX_PROPOSED = 6;

export const settle = defineEasing<ReturnType<typeof schema>>({
  kind: 'settle',
  schema,
  distanceAt: ({ overshoot, swings }, x, frames, distance) =>
    distance * settleEasing(x / frames, overshoot, swings),
  fresh: () => ({ kind: 'settle', overshoot: 0.25, swings: 3 }),
  nearest: (distance) => {
    const found = Array.from({ length: MAX_PROPOSED }, (_, k) =>
      nearestOf<Settle>(
        ([overshoot]) => ({
          kind: 'settle',
          overshoot: within(overshoot!, MIN_OVERSHOOT, MAX_OVERSHOOT),
          swings: k + 1,
        }),
        [[0.2]],
        [0.15],
        distance,
      ),
    );
    return [nearestAmong(found, distance.square)];
  },
});
