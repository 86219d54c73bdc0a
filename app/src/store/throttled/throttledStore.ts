import type { Store } from '@reduxjs/toolkit';
import { createThrottledSource, throttleGroup, type ThrottledSource } from './throttledSource';

/** While something is held, what follows it from afar is notified this often at most, milliseconds. */
const PANELS_MS = 250;

/** What the shot and the playhead share: both follow the hand, and panels follow both. */
export const panelsGroup = throttleGroup();

/**
 * The store as panels, rulers and tables see it. As a rule that is the store itself. While something is
 * held in the field it changes a few times a second only: what is under the hand follows every movement by
 * itself and must never wait for the rest.
 */
export type ThrottledStore<State> = ThrottledSource<State>;

const known = new WeakMap<Store, ThrottledStore<unknown>>();

/** The throttled store; always the same one. */
export function throttledStoreOf<State>(store: Store<State>): ThrottledStore<State> {
  const before = known.get(store as Store) as ThrottledStore<State> | undefined;
  if (before) return before;
  const throttled = createThrottledSource({
    read: store.getState,
    follow: (listener) => void store.subscribe(listener),
    everyMs: PANELS_MS,
    group: panelsGroup,
    maxLoadDivisor: 16,
  });
  known.set(store as Store, throttled as ThrottledStore<unknown>);
  return throttled;
}
