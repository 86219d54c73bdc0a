import { figureKeys } from '../../features/figure/figureKeys';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

export const figure: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => import('./FigureStep').then((part) => part.FigureStep)),
  keys: figureKeys,
};
