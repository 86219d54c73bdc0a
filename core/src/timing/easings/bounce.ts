import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';
import { within } from './limits';
import { nearestAmong, nearestOf } from './nearestOf';

const MIN_RESTITUTION = 0.05;
const MAX_RESTITUTION = 0.95;

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('bounce'),
    count: z.number().int().min(0).max(20),
    restitution: z.number().min(MIN_RESTITUTION).max(MAX_RESTITUTION),
  });

type Bounce = z.infer<ReturnType<typeof schema>>;

/**
 * Share of the way of something that falls onto its target and bounces there: each bounce lasts the
 * restitution times as long as the one before and reaches its square of the height.
 * @param u share of the time, 0 to 1
 * @param restitution speed after a hit over speed before it, 0 to 1
 */
export function bounceEasing(u: number, count: number, restitution: number): number {
  if (u >= 1) return 1;
  let total = 1;
  for (let k = 1; k <= count; k++) total += 2 * restitution ** k;
  let time = u * total;
  if (time <= 1) return time * time;
  time -= 1;
  for (let k = 1; k <= count; k++) {
    const lasts = 2 * restitution ** k;
    if (time <= lasts) {
      const w = lasts > 0 ? time / lasts : 1;
      return 1 - 4 * w * (1 - w) * restitution ** (2 * k);
    }
    time -= lasts;
  }
  return 1;
}

const MAX_PROPOSED = 6;

export const bounce = defineEasing<ReturnType<typeof schema>>({
  kind: 'bounce',
  schema,
  distanceAt: ({ count, restitution }, x, frames, distance) =>
    distance * bounceEasing(x / frames, count, restitution),
  fresh: () => ({ kind: 'bounce', count: 3, restitution: 0.6 }),
  nearest: (distance) => {
    const found = Array.from({ length: MAX_PROPOSED + 1 }, (_, count) =>
      nearestOf<Bounce>(
        ([restitution]) => ({
          kind: 'bounce',
          count,
          restitution: within(restitution!, MIN_RESTITUTION, MAX_RESTITUTION),
        }),
        [[0.6]],
        [0.15],
        distance,
      ),
    );
    return [nearestAmong(found, distance.square)];
  },
});
