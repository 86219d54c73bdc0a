import type { Store, UnknownAction } from '@reduxjs/toolkit';
import { createContext } from 'react';
import type { ReactReduxContextValue } from 'react-redux';

/** While something is held, what follows it from afar is told this often, milliseconds. */
const CALM_MS = 250;

/**
 * The store as panels, rulers and tables see it. As a rule that is the store itself. While something is
 * held in the field it changes a few times a second only: what is under the hand follows every movement by
 * itself and must never wait for the rest.
 */
export interface CalmStore<State> extends Store<State> {
  /** Something is taken hold of. */
  readonly hold: () => void;
  /** It is let go; all that was held back is told at once. */
  readonly release: () => void;
  readonly isHeld: () => boolean;
}

/**
 * Tells listeners one after the other, each in a task of its own: what a listener has to draw is drawn before
 * the next one is told, and the picture under the hand gets its turn between. What is told meanwhile anew
 * takes the place of the rest.
 */
function oneByOne(listeners: readonly (() => void)[], seen: () => unknown): void {
  const what = seen();
  const { port1, port2 } = new MessageChannel();
  let next = 0;
  port1.onmessage = () => {
    const listener = listeners[next++];
    if (!listener || seen() !== what) return port1.close();
    listener();
    port2.postMessage(null);
  };
  port2.postMessage(null);
}

const known = new WeakMap<Store, CalmStore<unknown>>();

function calmed<State>(store: Store<State>): CalmStore<State> {
  const listeners = new Set<() => void>();
  let seen = store.getState();
  let isHeld = false;
  let told = 0;
  let later: ReturnType<typeof setTimeout> | undefined;
  const tell = (): void => {
    clearTimeout(later);
    later = undefined;
    if (seen === store.getState()) return;
    seen = store.getState();
    told = performance.now();
    if (isHeld) oneByOne([...listeners], () => seen);
    else listeners.forEach((listener) => listener());
  };
  store.subscribe(() => {
    if (!isHeld) tell();
    else later ??= setTimeout(tell, Math.max(0, told + CALM_MS - performance.now()));
  });
  return {
    dispatch: store.dispatch,
    replaceReducer: store.replaceReducer,
    [Symbol.observable]: store[Symbol.observable],
    getState: () => seen,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    hold: () => {
      isHeld = true;
      told = performance.now();
    },
    isHeld: () => isHeld,
    release: () => {
      isHeld = false;
      tell();
    },
  };
}

/** The calm side of a store; always the same one. */
export function calmStoreOf<State>(store: Store<State>): CalmStore<State> {
  const before = known.get(store as Store) as CalmStore<State> | undefined;
  if (before) return before;
  const calm = calmed(store);
  known.set(store as Store, calm as CalmStore<unknown>);
  return calm;
}

/** Where components find the calm store. */
export const CalmContext = createContext<ReactReduxContextValue<unknown, UnknownAction> | null>(null);
