import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

export const settle: EasingDescriptor<EasingOf<'settle'>> = {
  name: 'Settles',
  inWords: ({ swings }) => `Settles in ${swings} swings`,
  sentence: () => 'Swings past the mark and comes to rest on it.',
  numbers: (easing) => [
    percent('Overshoots by', easing.overshoot, [1, 90], (overshoot) => ({ ...easing, overshoot })),
    { label: 'Swings', value: easing.swings, min: 1, max: 20, set: (swings) => ({ ...easing, swings }) },
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, {
      id: 'over',
      hint: 'how far it passes the mark',
      x: frames / (easing.swings + 1),
    }),
  ],
  dragged: (easing, _, { share }) => ({ ...easing, overshoot: rounded(clamp(share - 1, 0.01, 0.9)) }),
};
