import { nextFrame, nextTask } from './nextTask';

export interface ThrottledSource<Value> {
  readonly get: () => Value;
  readonly subscribe: (listener: () => void) => () => void;
  /** It will change with every movement of the pointer: from now on listeners are notified now and then only. */
  readonly begin: () => void;
  /** It is let go: what was held back can be read at once, and everyone is notified. */
  readonly end: () => void;
  readonly isThrottling: () => boolean;
}

export interface ThrottleGroup {
  /** How long telling the panels took, the heaviest so far: known to one that never notified them, milliseconds. */
  notifyingMs: number;
  changedAt: number;
}

export const throttleGroup = (): ThrottleGroup => ({ notifyingMs: 0, changedAt: 0 });

interface ThrottleOptions<Value> {
  readonly read: () => Value;
  readonly follow: (listener: () => void) => void;
  /** While it is held, listeners are notified this often at most, milliseconds. */
  readonly everyMs: number;
  readonly group: ThrottleGroup;
  readonly maxLoadDivisor: number;
  readonly changesContinuously?: (value: Value) => boolean;
}

/** Telling goes on in a task of its own after so long, milliseconds. */
const MAX_TASK_MS = 4;

/** The same where nothing is held and it changes by itself. */
const IDLE_LOAD_DIVISOR = 8;

/** A heavy telling counts so much less with each lighter one after it. */
const FORGETTING = 0.7;

/** After so long without a change the pointer rests, and notifying disturbs nobody, milliseconds. */
const REST_MS = 120;

/**
 * Notifies listeners one after the other: what a listener has to draw is drawn before the next one is notified, and
 * the picture under the pointer gets its turn between; while it moves that is a frame, so that what changes on the
 * page is not laid out all at once. What is notified meanwhile anew takes the place of the rest.
 * @returns how long that took without the turns of others, milliseconds
 */
async function notifyInTurn(
  listeners: ReadonlySet<() => void>,
  isStillSo: () => boolean,
  isMoving: () => boolean,
): Promise<number> {
  let took = 0;
  let since = performance.now();
  for (const listener of [...listeners]) {
    if (!isStillSo()) break;
    if (listeners.has(listener)) listener();
    // Rendering waits for the end of what runs now.
    await Promise.resolve();
    if (performance.now() - since < MAX_TASK_MS) continue;
    took += performance.now() - since;
    await (isMoving() ? nextFrame() : nextTask());
    since = performance.now();
  }
  return took + performance.now() - since;
}

/**
 * As a rule listeners hear of each change at once; while it is held, in turn and never for long: at once when
 * the pointer rests, else as often as the machine can afford by what notifying took before.
 */
export function createThrottledSource<Value>({
  read,
  follow,
  everyMs,
  group,
  maxLoadDivisor,
  changesContinuously,
}: ThrottleOptions<Value>): ThrottledSource<Value> {
  const listeners = new Set<() => void>();
  let seen = read();
  let isThrottling = false;
  /** When they may be notified again, whether the pointer rests or not. */
  let due = 0;
  /** How long telling everyone takes, the heaviest lately; 0 while nobody knows. */
  let tookMs = 0;
  const nextDue = (now: number): number =>
    now +
    Math.max(everyMs, (isThrottling ? maxLoadDivisor : IDLE_LOAD_DIVISOR) * (tookMs || group.notifyingMs));
  /** Not everyone was notified the last time. */
  let hasPending = false;
  const isBehind = (): boolean => hasPending || seen !== read();
  let later: ReturnType<typeof setTimeout> | undefined;
  const notifyNow = (): void => {
    clearTimeout(later);
    later = undefined;
    if (!isBehind()) return;
    const notified = (seen = read());
    hasPending = false;
    const began = performance.now();
    const isEarly = began < due && isThrottling;
    // Not again before this is done and has rested.
    const wasDue = due;
    due = Infinity;
    // Those notified early only because the pointer rested wait again when it moves on.
    const movesOn = (): boolean => isEarly && isThrottling && group.changedAt > began;
    void notifyInTurn(
      listeners,
      () => seen === notified && !movesOn(),
      () => isThrottling,
    ).then((took) => {
      const isWhole = seen === notified && !movesOn();
      tookMs = Math.max(took, tookMs * (isWhole ? FORGETTING : 1));
      group.notifyingMs = Math.max(took, group.notifyingMs);
      if (seen !== notified) return;
      hasPending = !isWhole;
      due = hasPending ? wasDue : nextDue(began);
      if (isBehind()) notifySoon();
    });
  };
  const notifySoon = (): void => {
    if (due === Infinity) return;
    clearTimeout(later);
    const now = performance.now();
    const at = Math.min(due, isThrottling ? group.changedAt + REST_MS : Infinity);
    later = setTimeout(() => notifyIfResting(at), Math.max(0, at - now));
  };
  /** A timer that comes late tells of a busy machine, not of a pointer that rests. */
  const notifyIfResting = (at: number): void => {
    const now = performance.now();
    if (now >= due || !isThrottling) return notifyNow();
    if (now - at > REST_MS / 2) group.changedAt = now;
    if (now - group.changedAt < REST_MS) notifySoon();
    else notifyNow();
  };
  follow(() => {
    group.changedAt = performance.now();
    if (isThrottling || changesContinuously?.(read())) return notifySoon();
    if (!isBehind()) return;
    clearTimeout(later);
    later = undefined;
    due = 0;
    hasPending = false;
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
    begin: () => {
      isThrottling = true;
      due = nextDue(performance.now());
    },
    isThrottling: () => isThrottling,
    end: () => {
      isThrottling = false;
      notifyNow();
    },
  };
}
