import { lazyWithRetry } from '../../ui/lazyWithRetry';

/** Says when a new version is there: the list does not wait for it. */
export const LazyNewVersionNotice = lazyWithRetry(() =>
  import('./NewVersionNotice').then((part) => part.NewVersionNotice),
);
