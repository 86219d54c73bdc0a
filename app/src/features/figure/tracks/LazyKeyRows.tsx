import { lazyWithRetry } from '../../../ui/lazyWithRetry';

/** Comes as a part of its own, with the ruler that it stands under. */
export const LazyKeyRows = lazyWithRetry(() => import('./KeyRows').then((part) => part.KeyRows));
