import { type EasingOf, windUpFrames } from '@humble/core';
import { fixed } from '../../ui/numbers';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

export const windUp: EasingDescriptor<EasingOf<'wind-up'>> = {
  name: 'Winds up',
  inWords: ({ back, backFrames }) => `Back by ${fixed(back * 100, 0)} % over ${fixed(backFrames, 1)}`,
  sentence: () => 'Goes back a little first, then on to the mark.',
  numbers: (easing, frames) => [
    {
      label: 'Winds up over',
      unit: 'frames',
      value: easing.backFrames,
      min: 0,
      max: frames,
      decimals: 1,
      set: (backFrames) => ({ ...easing, backFrames }),
    },
    percent('Goes back by', easing.back, [0, 200], (back) => ({ ...easing, back })),
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, {
      id: 'back',
      hint: 'how far it goes back, and until when',
      x: windUpFrames(easing, frames),
    }),
  ],
  dragged: (easing, _, { x, share }, frames) => ({
    ...easing,
    backFrames: Math.round(clamp(x, 0, frames)),
    back: rounded(clamp(-share, 0, 2)),
  }),
};
