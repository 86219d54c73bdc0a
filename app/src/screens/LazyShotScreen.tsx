import { lazyWithRetry } from '../ui/lazyWithRetry';
import { OpeningShot } from './OpeningShot';

/** The workbench, which the list of shots does not have to wait for. */
export const LazyShotScreen = lazyWithRetry(
  () => import('./ShotScreen').then((module) => module.ShotScreen),
  <OpeningShot />,
);
