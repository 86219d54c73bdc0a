import { lazyWithRetry } from '../../../ui/lazyWithRetry';

/** The exposure sheet and the charts come when they are asked for, as one part. */
export const LazyExposureSheet = lazyWithRetry(() =>
  import('./parts').then((part) => part.ExposureSheetView),
);
export const LazySheetCharts = lazyWithRetry(() => import('./parts').then((part) => part.SheetCharts));
