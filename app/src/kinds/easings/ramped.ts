import { easingsWords as words } from '../../words/easings';
import { type EasingOf, rampOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';
import { clamp, onCurve } from './numbers';

export const ramped: EasingDescriptor<EasingOf<'ramped'>> = {
  name: words.leavesAndArrives,
  shortName: ({ ramp }) => (ramp === 'steady' ? words.steady : words.soft),
  inWords: ({ ramp, leaveFrames, arriveFrames }) =>
    words.rampSummary(ramp === 'steady' ? words.steady : words.soft, leaveFrames, arriveFrames),
  sentence: ({ ramp }) => (ramp === 'steady' ? words.plainRampHelp : words.softRampHelp),
  numbers: (easing, frames) => [
    {
      label: words.leaveSlowlyOver,
      unit: words.frames,
      value: easing.leaveFrames,
      min: 0,
      max: frames,
      set: (leaveFrames) => ({ ...easing, leaveFrames }),
    },
    {
      label: words.arriveSlowlyOver,
      unit: words.frames,
      value: easing.arriveFrames,
      min: 0,
      max: frames,
      set: (arriveFrames) => ({ ...easing, arriveFrames }),
    },
  ],
  handles: (easing, frames) => {
    const { leaveFrames, arriveFrames } = rampOf(easing, frames, 1);
    return [
      onCurve(easing, frames, { id: 'leave', hint: words.framesToLeaveOver, x: leaveFrames }),
      onCurve(easing, frames, { id: 'arrive', hint: words.framesToArriveOver, x: frames - arriveFrames }),
    ];
  },
  dragged: (easing, id, { x }, frames) => {
    const free = (other: number): number => frames - Math.min(frames, other);
    return id === 'leave'
      ? { ...easing, leaveFrames: Math.round(clamp(x, 0, free(easing.arriveFrames))) }
      : { ...easing, arriveFrames: Math.round(clamp(frames - x, 0, free(easing.leaveFrames))) };
  },
};
