import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';

const schema = (z: Zod) => z.object({ kind: z.literal('flow') });

/**
 * Through its marks without a jump of speed at a pass and without overshoot. Here it is taken to stop at both
 * ends; how it passes through its marks is known to its move alone (`fractionAt`).
 */
export const flow = defineEasing<ReturnType<typeof schema>>({
  kind: 'flow',
  schema,
  distanceAt: (_, x, frames, distance) => {
    const u = x / frames;
    return distance * u * u * (3 - 2 * u);
  },
  fresh: () => ({ kind: 'flow' }),
  split: (easing) => [easing, easing],
  reversed: (easing) => easing,
});
