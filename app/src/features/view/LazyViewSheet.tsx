import { lazyWithRetry } from '../../ui/lazyWithRetry';

export const LazyViewSheet = lazyWithRetry(() => import('./ViewSheet').then((part) => part.ViewSheet));
