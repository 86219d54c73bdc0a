import { arcKeys } from '../../features/arc/arcKeys';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

export const arc: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => import('./ArcStep').then((part) => part.ArcStep)),
  keys: arcKeys,
};
