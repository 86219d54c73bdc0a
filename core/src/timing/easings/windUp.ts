import type { z } from 'zod';
import type { Zod } from '../../model/zod';
import { defineEasing } from './easingDefinition';
import { easingFrames, stretchedFrames, within } from './limits';
import { nearestOf } from './nearestOf';

const MAX_BACK = 2;

const schema = (z: Zod) =>
  z.object({
    kind: z.literal('wind-up'),
    backFrames: easingFrames(z),
    back: z.number().min(0).max(MAX_BACK),
  });

type WindUp = z.infer<ReturnType<typeof schema>>;

/** Share of a span that going back may take: some of it is left for the way. */
const MAX_BACK_SHARE = 0.9;

/** A cubic from 0 to 1 without speed at both ends. */
const gently = (u: number): number => u * u * (3 - 2 * u);

export const windUpFrames = ({ backFrames }: Pick<WindUp, 'backFrames'>, frames: number): number =>
  Math.min(backFrames, MAX_BACK_SHARE * frames);

/** Goes back by a share of the way over the first frames, then on to the mark; no speed at either turn. */
export const windUp = defineEasing<ReturnType<typeof schema>>({
  kind: 'wind-up',
  schema,
  distanceAt: (easing, x, frames, distance) => {
    const backFrames = windUpFrames(easing, frames);
    if (x < backFrames) return -easing.back * distance * gently(x / backFrames);
    return distance * ((1 + easing.back) * gently((x - backFrames) / (frames - backFrames)) - easing.back);
  },
  fresh: (frames) => ({ kind: 'wind-up', backFrames: Math.round(frames / 4), back: 0.15 }),
  stretched: (easing, factor) => ({ ...easing, backFrames: stretchedFrames(easing.backFrames, factor) }),
  nearest: (distance, frames) => [
    nearestOf(
      ([backShare, back]): WindUp => ({
        kind: 'wind-up',
        backFrames: within(backShare!, 0, MAX_BACK_SHARE) * frames,
        back: within(back!, 0, MAX_BACK),
      }),
      [
        [0.2, 0.1],
        [0.4, 0.3],
      ],
      [0.1, 0.1],
      distance,
    ),
  ],
});
