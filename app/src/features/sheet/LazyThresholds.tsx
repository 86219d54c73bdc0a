import { lazyWithRetry } from '../../ui/lazyWithRetry';

export const LazyThresholds = lazyWithRetry(() => import('./Thresholds').then((part) => part.ThresholdsCard));
