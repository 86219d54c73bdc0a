import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const snap: EasingDescriptor<EasingOf<'snap'>> = {
  name: 'Stays, then jumps',
  sentence: () => 'Stays put, then jumps to the mark on its frame.',
};
