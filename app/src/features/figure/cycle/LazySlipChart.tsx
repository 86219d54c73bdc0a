import { lazyWithRetry } from '../../../ui/lazyWithRetry';

/** Comes with its chart package as a part of its own, when there is slip to be shown. */
export const LazySlipChart = lazyWithRetry(() => import('./SlipChart').then((part) => part.SlipChart));
