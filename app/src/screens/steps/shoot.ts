import { shootKeys } from '../../features/shoot/shootKeys';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import type { PanelProps, StepParts } from './stepParts';

/** All of it comes as one part: what two parts share would come with the workbench. */
const shootStep = () => import('./ShootStep');

export const shoot: StepParts = {
  Panel: lazyWithRetry<PanelProps>(() => shootStep().then((part) => part.ShootStep)),
  keys: shootKeys,
  layers: {
    Under: lazyWithRetry(() => shootStep().then((part) => part.SetPicture)),
    Over: lazyWithRetry(() => shootStep().then((part) => part.ShootAids)),
  },
};
