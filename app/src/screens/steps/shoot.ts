import { shootKeys } from '../../features/shoot/shootKeys';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

export const shoot: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => import('./ShootStep').then((part) => part.ShootStep)),
  keys: shootKeys,
  layers: {
    Under: lazyWithRetry(() => import('../../features/shoot').then((part) => part.SetPicture)),
    Over: lazyWithRetry(() => import('../../features/shoot').then((part) => part.ShootAids)),
  },
};
