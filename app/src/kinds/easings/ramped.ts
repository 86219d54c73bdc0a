import { type EasingOf, rampOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve } from './numbers';

export const ramped: EasingDescriptor<EasingOf<'ramped'>> = {
  name: 'Leaves and arrives',
  shortName: ({ ramp }) => (ramp === 'steady' ? 'Steady' : 'Soft'),
  inWords: ({ ramp, leaveFrames, arriveFrames }) =>
    `${ramp === 'steady' ? 'Steady' : 'Soft'}, leaves over ${leaveFrames}, arrives over ${arriveFrames}`,
  sentence: ({ ramp }) =>
    ramp === 'steady'
      ? 'Speed grows and falls evenly.'
      : 'Speed grows and falls gently at both ends of the ramp.',
  numbers: (easing, frames) => [
    {
      label: 'Leave slowly over',
      unit: 'frames',
      value: easing.leaveFrames,
      min: 0,
      max: frames,
      set: (leaveFrames) => ({ ...easing, leaveFrames }),
    },
    {
      label: 'Arrive slowly over',
      unit: 'frames',
      value: easing.arriveFrames,
      min: 0,
      max: frames,
      set: (arriveFrames) => ({ ...easing, arriveFrames }),
    },
  ],
  handles: (easing, frames) => {
    const { leaveFrames, arriveFrames } = rampOf(easing, frames, 1);
    return [
      onCurve(easing, frames, { id: 'leave', hint: 'frames to leave over', x: leaveFrames }),
      onCurve(easing, frames, { id: 'arrive', hint: 'frames to arrive over', x: frames - arriveFrames }),
    ];
  },
  dragged: (easing, id, { x }, frames) => {
    const free = (other: number): number => frames - Math.min(frames, other);
    return id === 'leave'
      ? { ...easing, leaveFrames: Math.round(clamp(x, 0, free(easing.arriveFrames))) }
      : { ...easing, arriveFrames: Math.round(clamp(frames - x, 0, free(easing.leaveFrames))) };
  },
};
