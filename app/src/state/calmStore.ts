import type { Store, UnknownAction } from '@reduxjs/toolkit';
import { createContext } from 'react';
import type { ReactReduxContextValue } from 'react-redux';
import { type Calm, calmed } from './calm';
import { calmPlayhead, handAndPanels } from './playhead';

/** While something is held, what follows it from afar is told this often at most, milliseconds. */
const CALM_MS = 250;

/**
 * The store as panels, rulers and tables see it. As a rule that is the store itself. While something is
 * held in the field it changes a few times a second only: what is under the hand follows every movement by
 * itself and must never wait for the rest.
 */
export interface CalmStore<State> extends Store<State>, Pick<Calm<State>, 'hold' | 'release' | 'isHeld'> {}

const known = new WeakMap<Store, CalmStore<unknown>>();

function calmOf<State>(store: Store<State>): CalmStore<State> {
  const calm = calmed({
    read: store.getState,
    follow: (listener) => void store.subscribe(listener),
    everyMs: CALM_MS,
    others: handAndPanels,
    share: 16,
  });
  return {
    dispatch: store.dispatch,
    replaceReducer: store.replaceReducer,
    [Symbol.observable]: store[Symbol.observable],
    getState: calm.get,
    subscribe: calm.subscribe,
    // What moves the one in time moves the playhead, too.
    hold: () => {
      calm.hold();
      calmPlayhead.hold();
    },
    release: () => {
      calm.release();
      calmPlayhead.release();
    },
    isHeld: calm.isHeld,
  };
}

/** The calm side of a store; always the same one. */
export function calmStoreOf<State>(store: Store<State>): CalmStore<State> {
  const before = known.get(store as Store) as CalmStore<State> | undefined;
  if (before) return before;
  const calm = calmOf(store);
  known.set(store as Store, calm as CalmStore<unknown>);
  return calm;
}

/** Where components find the calm store. */
export const CalmContext = createContext<ReactReduxContextValue<unknown, UnknownAction> | null>(null);
