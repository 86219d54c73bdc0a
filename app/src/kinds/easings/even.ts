import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const even: EasingDescriptor<EasingOf<'even'>> = {
  name: 'Even',
  sentence: () => 'The same increment on every frame.',
};
