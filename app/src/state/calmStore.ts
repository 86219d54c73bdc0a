import type { Store, UnknownAction } from '@reduxjs/toolkit';
import { createContext } from 'react';
import type { ReactReduxContextValue } from 'react-redux';

/** While something is held, what follows it from afar is told this often at most, milliseconds. */
const CALM_MS = 250;

/**
 * The store as panels, rulers and tables see it. As a rule that is the store itself. While something is
 * held in the field it changes a few times a second only: what is under the hand follows every movement by
 * itself and must never wait for the rest.
 */
export interface CalmStore<State> extends Store<State> {
  /** Something is taken hold of. */
  readonly hold: () => void;
  /** It is let go: what was held back can be read at once, and everyone is told. */
  readonly release: () => void;
  readonly isHeld: () => boolean;
}

/** Telling goes on in a task of its own after so long, milliseconds. */
const AT_ONCE_MS = 4;

/** Telling, and the rendering that comes of it, takes at most one part in so many of the time. */
const SHARE = 8;

const nextTask = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * Tells listeners one after the other: what a listener has to draw is drawn before the next one is told, and
 * the picture under the hand gets its turn between. What is told meanwhile anew takes the place of the rest.
 * @returns how long that took without the turns of others, milliseconds
 */
async function inTurn(listeners: ReadonlySet<() => void>, isStillSo: () => boolean): Promise<number> {
  let took = 0;
  let since = performance.now();
  for (const listener of [...listeners]) {
    if (!isStillSo()) break;
    if (listeners.has(listener)) listener();
    // Rendering waits for the end of what runs now.
    await Promise.resolve();
    if (performance.now() - since < AT_ONCE_MS) continue;
    took += performance.now() - since;
    await nextTask();
    since = performance.now();
  }
  return took + performance.now() - since;
}

const known = new WeakMap<Store, CalmStore<unknown>>();

function calmed<State>(store: Store<State>): CalmStore<State> {
  const listeners = new Set<() => void>();
  let seen = store.getState();
  let isHeld = false;
  /** When they may be told again. */
  let due = 0;
  let later: ReturnType<typeof setTimeout> | undefined;
  const tellInTurn = (): void => {
    clearTimeout(later);
    later = undefined;
    if (seen === store.getState()) return;
    const told = (seen = store.getState());
    const began = performance.now();
    // Not again before this is done and has rested.
    due = Infinity;
    void inTurn(listeners, () => seen === told).then((took) => {
      if (seen !== told) return;
      due = began + Math.max(CALM_MS, SHARE * took);
      if (seen !== store.getState()) tellSoon();
    });
  };
  const tellSoon = (): void => {
    if (due < Infinity) later ??= setTimeout(tellInTurn, Math.max(0, due - performance.now()));
  };
  store.subscribe(() => {
    if (isHeld) return tellSoon();
    if (seen === store.getState()) return;
    clearTimeout(later);
    later = undefined;
    seen = store.getState();
    listeners.forEach((listener) => listener());
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
      due = performance.now() + CALM_MS;
    },
    isHeld: () => isHeld,
    release: () => {
      isHeld = false;
      tellInTurn();
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
