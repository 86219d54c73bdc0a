import { easingsWords as words } from '../../words/easings';
import { type EasingOf, windUpFrames } from '@humble/core';
import { fixed } from '../../ui/numbers';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

export const windUp: EasingDescriptor<EasingOf<'wind-up'>> = {
  name: words.windsUp,
  inWords: ({ back, backFrames }) => words.backByOver(fixed(back * 100, 0), fixed(backFrames, 1)),
  sentence: () => words.windUpHelp,
  numbers: (easing, frames) => [
    {
      label: words.windsUpOver,
      unit: words.frames,
      value: easing.backFrames,
      min: 0,
      max: frames,
      decimals: 1,
      set: (backFrames) => ({ ...easing, backFrames }),
    },
    percent(words.goesBackBy, easing.back, [0, 200], (back) => ({ ...easing, back })),
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, {
      id: 'back',
      hint: words.howFarItGoesBackAnd,
      x: windUpFrames(easing, frames),
    }),
  ],
  dragged: (easing, _, { x, share }, frames) => ({
    ...easing,
    backFrames: Math.round(clamp(x, 0, frames)),
    back: rounded(clamp(-share, 0, 2)),
  }),
};
