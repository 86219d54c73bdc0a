import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const flow: EasingDescriptor<EasingOf<'flow'>> = {
  name: words.flowsThrough,
  sentence: () => words.flowHelp,
};
