import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';

const schema = (z: Zod) => z.object({ kind: z.literal('snap') });

/** Stays, and jumps with the next mark. */
export const snap = defineEasing<ReturnType<typeof schema>>({
  kind: 'snap',
  schema,
  distanceAt: () => 0,
  fresh: () => ({ kind: 'snap' }),
  // It stays up to the mark, so the first part does not move at all.
  split: (easing) => [{ kind: 'even' }, easing],
  nearest: () => [{ kind: 'snap' }],
});
