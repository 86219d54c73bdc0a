import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const snap: EasingDescriptor<EasingOf<'snap'>> = {
  name: words.staysThenJumps,
  sentence: () => words.snapHelp,
};
