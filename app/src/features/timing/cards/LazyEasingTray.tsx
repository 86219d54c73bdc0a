import { lazyWithRetry } from '../../../ui/lazyWithRetry';

/** Comes as a part of its own: the first picture of the workbench does not wait for it. */
export const LazyEasingTray = lazyWithRetry(() => import('./EasingTray').then((part) => part.EasingTray));
