import { easingsWords as words } from '../../words/easings';
import type { EasingOf } from '@humble/core';
import type { EasingDescriptor } from './easingDescriptor';

export const ticks: EasingDescriptor<EasingOf<'ticks'>> = {
  name: words.byChart,
  sentence: () => words.chartHelp,
};
