import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** Forms are for the second step: the first screen does not wait for them. */
export const LazyNewShotDialog = lazyWithRetry(() =>
  import('./NewShotDialog').then((module) => module.NewShotDialog),
);
