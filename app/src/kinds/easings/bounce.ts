import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

/** Share of its span after which a bouncing figure is at the top of its first bounce. */
function firstTop({ count, restitution }: EasingOf<'bounce'>): number {
  let total = 1;
  for (let k = 1; k <= count; k++) total += 2 * restitution ** k;
  return (1 + restitution) / total;
}

export const bounce: EasingDescriptor<EasingOf<'bounce'>> = {
  name: words.bounces,
  inWords: ({ count }) => words.bouncesInWords(count),
  sentence: () => words.bounceHelp,
  numbers: (easing) => [
    { label: words.bounces, value: easing.count, min: 0, max: 20, set: (count) => ({ ...easing, count }) },
    percent(words.speedKeptOnLanding, easing.restitution, [5, 95], (restitution) => ({
      ...easing,
      restitution,
    })),
  ],
  handles: (easing, frames) =>
    easing.count === 0
      ? []
      : [onCurve(easing, frames, { id: 'hop', hint: words.howHighItBounces, x: frames * firstTop(easing) })],
  dragged: (easing, _, { share }) => ({
    ...easing,
    restitution: rounded(clamp(Math.sqrt(clamp(1 - share, 0, 1)), 0.05, 0.95)),
  }),
};
