import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const even: EasingDescriptor<EasingOf<'even'>> = {
  name: words.even,
  sentence: () => words.evenHelp,
};
