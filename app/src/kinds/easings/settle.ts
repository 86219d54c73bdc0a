import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

export const settle: EasingDescriptor<EasingOf<'settle'>> = {
  name: words.settles,
  inWords: ({ swings }) => words.settlesInSwings(swings),
  sentence: () => words.settleHelp,
  numbers: (easing) => [
    percent(words.overshootsBy, easing.overshoot, [1, 90], (overshoot) => ({ ...easing, overshoot })),
    { label: words.swings, value: easing.swings, min: 1, max: 20, set: (swings) => ({ ...easing, swings }) },
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, {
      id: 'over',
      hint: words.settleOvershoot,
      x: frames / (easing.swings + 1),
    }),
  ],
  dragged: (easing, _, { share }) => ({ ...easing, overshoot: rounded(clamp(share - 1, 0.01, 0.9)) }),
};
