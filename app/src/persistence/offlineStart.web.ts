import { newVersion } from './newVersion';

/** What the build puts beside the application; see scripts/buildServiceWorker.mjs. */
const SERVICE_WORKER = '/sw.js';
export const PICTURE_CACHE = 'humble-pictures';
/** Each page that is open holds a share of this lock: so they can be counted. */
const PAGE_LOCK = 'humble-page';
/** A new version is looked for so often, milliseconds. */
const LOOK_MS = 30 * 60_000;

let registration: ServiceWorkerRegistration | null = null;

function noteWaiting(found: ServiceWorkerRegistration): void {
  // The first one of all replaces nothing.
  if (found.waiting && navigator.serviceWorker.controller) newVersion.set(true);
}

async function register(): Promise<void> {
  const found = await navigator.serviceWorker.register(SERVICE_WORKER);
  registration = found;
  noteWaiting(found);
  found.addEventListener('updatefound', () =>
    found.installing?.addEventListener('statechange', () => noteWaiting(found)),
  );
  setInterval(() => void found.update().catch(() => undefined), LOOK_MS);
}

/** Has the application kept on this device, so that it starts without the server, and looks for new versions of it. */
export function watchNewVersion(): void {
  // Over plain HTTP from another machine a browser offers neither.
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  void navigator.locks?.request(PAGE_LOCK, { mode: 'shared' }, () => new Promise(() => undefined));
  // A browser that does not want to keep it starts with the server alone.
  void register().catch(() => undefined);
}

async function openPages(): Promise<number> {
  const { held = [] } = (await navigator.locks?.query()) ?? {};
  return held.filter(({ name }) => name === PAGE_LOCK).length;
}

/**
 * Changes over to the new version: this page is loaded anew.
 * @returns false while other pages are open, which would lose parts of the old version under their feet
 */
export async function startNewVersion(): Promise<boolean> {
  if ((await openPages()) > 1) return false;
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  registration?.waiting?.postMessage({ type: 'SKIP_WAITING' });
  return true;
}

/** How many pictures and sounds this device keeps of those that were seen. */
export async function cachedPictures(): Promise<number> {
  if (typeof caches === 'undefined') return 0;
  const cache = await caches.open(PICTURE_CACHE);
  return (await cache.keys()).length;
}

export async function forgetCachedPictures(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(PICTURE_CACHE);
}
