import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { MAX_SHOT_FRAMES } from '../../model/limits';
import { defineEasing } from './easingDefinition';
import { MAX_SHARE, within } from './limits';

const share = (z: Zod) => z.number().min(-MAX_SHARE).max(MAX_SHARE);

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('ticks'),
    fractions: z.array(share(z)).min(1).max(MAX_SHOT_FRAMES),
  });

type Ticks = z.infer<ReturnType<typeof schema>>;

/** An explicit chart: shares of the way at the end of so many equal intervals. */
export const chartOf = (shares: readonly number[]): Ticks => ({
  kind: 'ticks',
  fractions: shares.map((one) => within(one, -MAX_SHARE, MAX_SHARE)),
});

/**
 * Share of the way on an explicit chart: one share at the end of each of so many equal intervals, in a
 * straight line between. The span ends where it ends, whatever the last one says.
 * @param u share of the time, 0 to 1
 */
export function ticksEasing(u: number, fractions: readonly number[]): number {
  const count = fractions.length;
  const at = within(u, 0, 1) * count;
  const i = Math.min(count - 1, Math.floor(at));
  const end = (k: number): number => (k < 0 ? 0 : k === count - 1 ? 1 : fractions[k]!);
  return end(i - 1) + (end(i) - end(i - 1)) * (at - i);
}

/** An explicit chart. A fresh one keeps what was there before. */
export const ticks = defineEasing<ReturnType<typeof schema>>({
  kind: 'ticks',
  schema,
  distanceAt: ({ fractions }, x, frames, distance) => distance * ticksEasing(x / frames, fractions),
  fresh: (frames, before) => ({
    kind: 'ticks',
    fractions: Array.from({ length: frames }, (_, i) => before(i + 1)),
  }),
});
