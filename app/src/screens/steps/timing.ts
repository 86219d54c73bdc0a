import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

export const timing: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => import('./TimingStep').then((part) => part.TimingStep)),
};
