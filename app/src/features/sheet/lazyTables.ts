import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** The tables and charts come as one part of their own: the first picture of the workbench does not wait for them. */
export const LazyIncrementsTable = lazyWithRetry(() =>
  import('./tables').then((part) => part.IncrementsTable),
);
export const LazyExposureSheet = lazyWithRetry(() =>
  import('./tables').then((part) => part.ExposureSheetView),
);
export const LazyPanGroup = lazyWithRetry(() => import('./tables').then((part) => part.PanGroup));
export const LazySheetCharts = lazyWithRetry(() => import('./tables').then((part) => part.SheetCharts));
