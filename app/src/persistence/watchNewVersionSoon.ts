import { offlineStart } from './laterParts';

/** The first screen goes before: what it does not need is fetched after so long, milliseconds. */
const AFTER_MS = 3000;

let isWatching = false;

/** Looks after the copy of the application on this device, once the first screen stands. */
export function watchNewVersionSoon(): void {
  if (isWatching || typeof window === 'undefined') return;
  isWatching = true;
  setTimeout(
    () =>
      void offlineStart().then(
        ({ watchNewVersion }) => watchNewVersion(),
        () => undefined,
      ),
    AFTER_MS,
  );
}
