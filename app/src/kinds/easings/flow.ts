import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const flow: EasingDescriptor<EasingOf<'flow'>> = {
  name: 'Flows through',
  sentence: () => 'Goes through its marks without a jump of speed, and stands at stops.',
};
