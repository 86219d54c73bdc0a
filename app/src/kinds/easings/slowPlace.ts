import { easingsWords as words } from '../../words/easings';
import { type Easing, easedDistance, type EasingOf } from '@humble/core';
import { fixed } from '../../ui/numbers';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve, percent, rounded } from './numbers';

const SAMPLES = 200;

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
  name: words.slowAtOnePoint,
  inWords: ({ at, strength }) =>
    words.slowAtDownTo(fixed(at * 100, 0), fixed(slowestShare(strength) * 100, 0)),
  sentence: ({ strength }) => words.slowestStepIs(fixed(slowestShare(strength) * 100, 0)),
  numbers: (easing) => [
    percent(words.slowestAt, easing.at, [0, 100], (at) => ({ ...easing, at })),
    {
      ...percent(words.slowestStep, slowestShare(easing.strength), [1, 100], (share) => ({
        ...easing,
        strength: (1 - share) / (1 + share),
      })),
      unit: words.ofTheQuickest,
    },
  ],
  handles: (easing, frames) => [
    onCurve(easing, frames, { id: 'slow', hint: words.whereItIsSlowest, x: slowestAt(easing, frames) }),
  ],
  dragged: (easing, _, { share }) => ({ ...easing, at: rounded(clamp(share, 0, 1)) }),
};
