import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';

const schema = (z: Zod) => z.object({ kind: z.literal('even') });

/** The same increment on every frame. */
export const even = defineEasing<ReturnType<typeof schema>>({
  kind: 'even',
  schema,
  distanceAt: (_, x, frames, distance) => (distance * x) / frames,
  fresh: () => ({ kind: 'even' }),
  split: (easing) => [easing, easing],
  nearest: () => [{ kind: 'even' }],
  reversed: (easing) => easing,
});
