import { lazyWithRetry } from '../ui/lazyWithRetry';

/** The guide, which the list of shots does not have to wait for. */
export const LazyGuideScreen = lazyWithRetry(() =>
  import('./GuideScreen').then((module) => module.GuideScreen),
);
