import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** The findings and the settings of the shot both show them, once somebody asks. */
export const LazyThresholds = lazyWithRetry(() => import('./Thresholds').then((part) => part.ThresholdsCard));
