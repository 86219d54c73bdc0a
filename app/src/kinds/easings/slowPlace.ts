import { type Easing, easedDistance, type EasingOf } from '@humble/core';
import { fixed } from '../../ui/numbers';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

const SAMPLES = 200;

/** Where in its span an easing is slowest, frames. */
function slowestAt(easing: Easing, frames: number): number {
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < SAMPLES; i++) {
    const [a, b] = [(frames * i) / SAMPLES, (frames * (i + 1)) / SAMPLES];
    const step = easedDistance(easing, b, frames, 1) - easedDistance(easing, a, frames, 1);
    if (step >= least) continue;
    least = step;
    best = (a + b) / 2;
  }
  return best;
}

/** The slowest step as a share of the quickest: speeds go from 1 − strength to 1 + strength. */
const slowestShare = (strength: number): number => (1 - strength) / (1 + strength);

export const slowPlace: EasingDescriptor<EasingOf<'slow-place'>> = {
  name: 'Slow at one point',
  inWords: ({ at, strength }) =>
    `Slow at ${fixed(at * 100, 0)} %, down to ${fixed(slowestShare(strength) * 100, 0)} %`,
  sentence: () => 'Slowest at one point along the way.',
  numbers: (easing) => [
    percent('Slowest at', easing.at, [0, 100], (at) => ({ ...easing, at })),
    {
      ...percent('Slowest step', slowestShare(easing.strength), [1, 100], (share) => ({
        ...easing,
        strength: (1 - share) / (1 + share),
      })),
      unit: '% of the quickest',
    },
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, { id: 'slow', hint: 'where it is slowest', x: slowestAt(easing, frames) }),
  ],
  dragged: (easing, _, { share }) => ({ ...easing, at: rounded(clamp(share, 0, 1)) }),
};
