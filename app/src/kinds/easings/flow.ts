import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const flow: EasingDescriptor<EasingOf<'flow'>> = {
  name: 'Flows through',
  sentence: () => 'Passes through its marks without a jump in speed, and rests at stops.',
};
