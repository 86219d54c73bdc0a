import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';
import { unit, within } from './limits';
import { nearestOf } from './nearestOf';

const MAX_STRENGTH = 0.99;

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('slow-place'),
    at: unit(z),
    strength: z.number().min(0).max(MAX_STRENGTH),
  });

type SlowPlace = z.infer<ReturnType<typeof schema>>;

const TURN = 2 * Math.PI;

/**
 * Share of the way on a travel that is slowest at one place and fastest half a way from there.
 * @param u share of the time, 0 to 1
 * @param at where it is slowest, share of the way
 * @param strength 0 is even, towards 1 it all but stops there
 */
export function slowPlaceEasing(u: number, at: number, strength: number): number {
  const phase = at + 0.5;
  return u + (strength / TURN) * (Math.sin(TURN * (u - phase)) + Math.sin(TURN * phase));
}

const slowPlaceOf = ([at, strength]: readonly number[]): SlowPlace => ({
  kind: 'slow-place',
  at: within(at!, 0, 1),
  strength: within(strength!, 0, MAX_STRENGTH),
});

const STARTS = [
  [0.1, 0.3],
  [0.5, 0.3],
  [0.9, 0.3],
];

/** Slowest at a share of the way. */
export const slowPlace = defineEasing<ReturnType<typeof schema>>({
  kind: 'slow-place',
  schema,
  distanceAt: ({ at, strength }, x, frames, distance) => distance * slowPlaceEasing(x / frames, at, strength),
  fresh: () => ({ kind: 'slow-place', at: 0.5, strength: 0.6 }),
  nearest: (distance) => [nearestOf(slowPlaceOf, STARTS, [0.2, 0.3], distance)],
});
