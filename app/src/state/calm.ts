/** Something that changes often, as those see it who may lag behind. */
export interface Calm<Value> {
  readonly get: () => Value;
  readonly subscribe: (listener: () => void) => () => void;
  /** It will change with every movement of a hand: from now on listeners are told now and then only. */
  readonly hold: () => void;
  /** The hand lets go: what was held back can be read at once, and everyone is told. */
  readonly release: () => void;
  readonly isHeld: () => boolean;
}

interface CalmOptions<Value> {
  readonly read: () => Value;
  /** Calls back after each change, for good. */
  readonly follow: (listener: () => void) => void;
  /** While it is held, listeners are told this often at most, milliseconds. */
  readonly everyMs: number;
  /** Whether it changes by itself, as if it were held. */
  readonly isRestless?: (value: Value) => boolean;
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

/** As a rule listeners hear of each change at once; while it is held, in turn and never for long. */
export function calmed<Value>({ read, follow, everyMs, isRestless }: CalmOptions<Value>): Calm<Value> {
  const listeners = new Set<() => void>();
  let seen = read();
  let isHeld = false;
  /** When they may be told again. */
  let due = 0;
  let later: ReturnType<typeof setTimeout> | undefined;
  const tellInTurn = (): void => {
    clearTimeout(later);
    later = undefined;
    if (seen === read()) return;
    const told = (seen = read());
    const began = performance.now();
    // Not again before this is done and has rested.
    due = Infinity;
    void inTurn(listeners, () => seen === told).then((took) => {
      if (seen !== told) return;
      due = began + Math.max(everyMs, SHARE * took);
      if (seen !== read()) tellSoon();
    });
  };
  const tellSoon = (): void => {
    if (due < Infinity) later ??= setTimeout(tellInTurn, Math.max(0, due - performance.now()));
  };
  follow(() => {
    if (isHeld || isRestless?.(read())) return tellSoon();
    if (seen === read()) return;
    clearTimeout(later);
    later = undefined;
    due = 0;
    seen = read();
    listeners.forEach((listener) => listener());
  });
  return {
    get: () => seen,
    subscribe: (listener) => {
      const mine = (): void => listener();
      listeners.add(mine);
      return () => listeners.delete(mine);
    },
    hold: () => {
      isHeld = true;
      due = performance.now() + everyMs;
    },
    isHeld: () => isHeld,
    release: () => {
      isHeld = false;
      tellInTurn();
    },
  };
}
