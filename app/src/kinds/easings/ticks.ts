import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const ticks: EasingDescriptor<EasingOf<'ticks'>> = {
  name: 'By chart',
  sentence: () => 'An explicit chart: one place for every frame.',
};
