import { lazyWithRetry } from '../../../ui/lazyWithRetry';

/** Comes as a part of its own: the first picture of the workbench does not wait for it. */
export const LazyRulerView = lazyWithRetry(() => import('./RulerView').then((part) => part.RulerView));
