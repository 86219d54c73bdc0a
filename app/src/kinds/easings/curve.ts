import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor, EasingNumber } from './easingDescriptor';
import { clamp, percent, rounded } from './numbers';

type Curve = EasingOf<'curve'>;

function handleNumbers(easing: Curve, n: '1' | '2', frames: number): readonly EasingNumber<Curve>[] {
  const [x, y] = [`x${n}`, `y${n}`] as [`x${typeof n}`, `y${typeof n}`];
  const name = n === '1' ? words.firstHandle : words.secondHandle;
  return [
    {
      label: words.after(name),
      unit: words.frames,
      value: easing[x] * frames,
      min: 0,
      max: frames,
      decimals: 1,
      set: (value) => ({ ...easing, [x]: value / frames }),
    },
    percent(words.at(name), easing[y], [-400, 400], (share) => ({ ...easing, [y]: share })),
  ];
}

export const curve: EasingDescriptor<Curve> = {
  name: words.curve,
  sentence: () => words.curveHelp,
  numbers: (easing, frames) => [...handleNumbers(easing, '1', frames), ...handleNumbers(easing, '2', frames)],
  handles: (easing, frames) => [
    {
      id: 'first',
      hint: words.howItLeaves,
      x: easing.x1 * frames,
      share: easing.y1,
      stem: { x: 0, share: 0 },
    },
    {
      id: 'second',
      hint: words.howItArrives,
      x: easing.x2 * frames,
      share: easing.y2,
      stem: { x: frames, share: 1 },
    },
  ],
  dragged: (easing, id, { x, share }, frames) => {
    const [time, distance] = [rounded(clamp(x / frames, 0, 1)), rounded(clamp(share, -4, 4))];
    return id === 'first' ? { ...easing, x1: time, y1: distance } : { ...easing, x2: time, y2: distance };
  },
};
