import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** Comes as a part of its own: the first picture of the workbench does not wait for it. */
export const LazyIncrementsTable = lazyWithRetry(() =>
  import('./IncrementsTable').then((part) => part.IncrementsTable),
);
