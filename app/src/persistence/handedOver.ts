import type { StoredShot } from './api';

/** Whoever opens a shot does so at once; later the server may have a newer one, milliseconds. */
const FRESH_MS = 3000;

let handedOver: { readonly stored: StoredShot; readonly at: number } | null = null;

export function handOver(stored: StoredShot): void {
  handedOver = { stored, at: Date.now() };
}

/** The shot that was handed over, where it is this one; it is handed over once. */
export function takeHandedOver(id: string): StoredShot | null {
  const found = handedOver;
  handedOver = null;
  return found?.stored.id === id && Date.now() - found.at < FRESH_MS ? found.stored : null;
}
