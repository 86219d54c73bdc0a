import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** What can be done with a shot is for the second step: the first screen does not wait for it. */
export const LazyShotMenu = lazyWithRetry(() => import('./ShotMenu').then((part) => part.ShotMenu));
