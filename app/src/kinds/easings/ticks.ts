import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const ticks: EasingDescriptor<EasingOf<'ticks'>> = {
  name: 'By chart',
  sentence: () => 'A chart with a position for every frame.',
};
