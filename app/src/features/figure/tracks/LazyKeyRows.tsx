import { lazyWithRetry } from '../../../ui/lazyWithRetry';

export const LazyKeyRows = lazyWithRetry(() => import('./KeyRows').then((part) => part.KeyRows));
