import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

export const sheet: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => import('./SheetStep').then((part) => part.SheetStep)),
};
