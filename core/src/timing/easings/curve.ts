import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { cubicEasing } from '../cubicEasing';
import { defineEasing } from './easingDefinition';
import { unit, within } from './limits';
import { nearestOf } from './nearestOf';

/** How far a handle may lie outside the way: anticipation, overshoot. */
const MAX_HANDLE = 4;
const beyond = (z: Zod) => z.number().min(-MAX_HANDLE).max(MAX_HANDLE);

const schema = (z: Zod) =>
  z.object({ kind: z.literal('curve'), x1: unit(z), y1: beyond(z), x2: unit(z), y2: beyond(z) });

type Curve = z.infer<ReturnType<typeof schema>>;

const curveOf = ([x1, y1, x2, y2]: readonly number[]): Curve => ({
  kind: 'curve',
  x1: within(x1!, 0, 1),
  y1: within(y1!, -MAX_HANDLE, MAX_HANDLE),
  x2: within(x2!, 0, 1),
  y2: within(y2!, -MAX_HANDLE, MAX_HANDLE),
});

const STARTS = [
  [0.33, 0.33, 0.67, 0.67],
  [0.4, 0, 0.6, 1],
  [0.6, 0, 0.9, 0.6],
  [0.1, 0.4, 0.4, 1],
];

/** A cubic in the unit square of time and way; y may leave it. */
export const curve = defineEasing<ReturnType<typeof schema>>({
  kind: 'curve',
  schema,
  distanceAt: (easing, x, frames, distance) => distance * cubicEasing(x / frames, easing),
  fresh: () => ({ kind: 'curve', x1: 0.4, y1: 0, x2: 0.6, y2: 1 }),
  nearest: (distance) => [nearestOf(curveOf, STARTS, [0.15, 0.15, -0.15, -0.15], distance)],
  reversed: ({ kind, x1, y1, x2, y2 }) => ({ kind, x1: 1 - x2, y1: 1 - y2, x2: 1 - x1, y2: 1 - y1 }),
});
