import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** What an empty list offers: most lists are not empty. */
export const LazyEmptyList = lazyWithRetry(() => import('./EmptyList').then((part) => part.EmptyList));
