import { useSyncExternalStore } from 'react';

/** A value outside Redux and React that changes too often for either: the playhead, what lies under the pointer. */
export interface ExternalStore<Value> {
  readonly get: () => Value;
  readonly set: (next: Value) => void;
  /** @returns what ends it */
  readonly subscribe: (listener: () => void) => () => void;
}

interface ExternalStoreOptions<Value> {
  /** Whether a value is no change; listeners are not called then. */
  readonly isEqual?: (a: Value, b: Value) => boolean;
  /** Listeners are called once before the next picture, however many changes there were. */
  readonly notifiesOncePerFrame?: boolean;
}

export function createExternalStore<Value>(
  initial: Value,
  { isEqual = Object.is, notifiesOncePerFrame = false }: ExternalStoreOptions<Value> = {},
): ExternalStore<Value> {
  let value = initial;
  let request = 0;
  const listeners = new Set<() => void>();
  const notify = (): void => {
    request = 0;
    listeners.forEach((listener) => listener());
  };
  return {
    get: () => value,
    set: (next) => {
      if (isEqual(next, value)) return;
      value = next;
      if (notifiesOncePerFrame) request ||= requestAnimationFrame(notify);
      else notify();
    },
    subscribe: (listener) => {
      // A function that subscribes twice must be able to leave once.
      const own = (): void => listener();
      listeners.add(own);
      return () => void listeners.delete(own);
    },
  };
}

/** Something of an external store; renders again only when that changes. */
export function useExternalStore<Value, Picked = Value>(
  { get, subscribe }: Pick<ExternalStore<Value>, 'get' | 'subscribe'>,
  pick: (value: Value) => Picked = (value) => value as unknown as Picked,
): Picked {
  const picked = (): Picked => pick(get());
  return useSyncExternalStore(subscribe, picked, picked);
}
