import type { Store, UnknownAction } from '@reduxjs/toolkit';
import { createContext } from 'react';
import type { ReactReduxContextValue } from 'react-redux';
import { type ThrottledSource, createThrottledSource } from './throttledSource';
import { throttledPlayhead, panelsGroup } from '../playback/playhead';

/** While something is held, what follows it from afar is notified this often at most, milliseconds. */
const PANELS_MS = 250;

/**
 * The store as panels, rulers and tables see it. As a rule that is the store itself. While something is
 * held in the field it changes a few times a second only: what is under the hand follows every movement by
 * itself and must never wait for the rest.
 */
export interface ThrottledStore<State>
  extends Store<State>, Pick<ThrottledSource<State>, 'begin' | 'end' | 'isThrottling'> {}

const known = new WeakMap<Store, ThrottledStore<unknown>>();

function createThrottledStore<State>(store: Store<State>): ThrottledStore<State> {
  const throttled = createThrottledSource({
    read: store.getState,
    follow: (listener) => void store.subscribe(listener),
    everyMs: PANELS_MS,
    group: panelsGroup,
    maxLoadDivisor: 16,
  });
  return {
    dispatch: store.dispatch,
    replaceReducer: store.replaceReducer,
    [Symbol.observable]: store[Symbol.observable],
    getState: throttled.get,
    subscribe: throttled.subscribe,
    // What moves the one in time moves the playhead, too.
    begin: () => {
      throttled.begin();
      throttledPlayhead.begin();
    },
    end: () => {
      throttled.end();
      throttledPlayhead.end();
    },
    isThrottling: throttled.isThrottling,
  };
}

/** The throttled store; always the same one. */
export function throttledStoreOf<State>(store: Store<State>): ThrottledStore<State> {
  const before = known.get(store as Store) as ThrottledStore<State> | undefined;
  if (before) return before;
  const throttled = createThrottledStore(store);
  known.set(store as Store, throttled as ThrottledStore<unknown>);
  return throttled;
}

/** Where components find the throttled store. */
export const ThrottledContext = createContext<ReactReduxContextValue<unknown, UnknownAction> | null>(null);
