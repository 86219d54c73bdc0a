import { lazyWithRetry } from '../ui/lazyWithRetry';

/** The bin, which the list of shots does not have to wait for. */
export const LazyBinScreen = lazyWithRetry(() => import('./BinScreen').then((module) => module.BinScreen));
