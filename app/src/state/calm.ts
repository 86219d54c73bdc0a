import { nextFrame, nextTask } from '../ui/nextTask';

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

/** What things that follow one hand, and tell the same panels, know of each other. */
export interface Together {
  /** How long telling the panels took, the heaviest so far: known to one that never told them, milliseconds. */
  tellingMs: number;
  /** When one of them changed last, on the clock of `performance.now`. */
  changedAt: number;
}

export const together = (): Together => ({ tellingMs: 0, changedAt: 0 });

interface CalmOptions<Value> {
  readonly read: () => Value;
  /** Calls back after each change, for good. */
  readonly follow: (listener: () => void) => void;
  /** While it is held, listeners are told this often at most, milliseconds. */
  readonly everyMs: number;
  readonly others: Together;
  /** While it is held and moves on, telling takes at most one part in so many of the time. */
  readonly share: number;
  /** Whether it changes by itself, as if it were held. */
  readonly isRestless?: (value: Value) => boolean;
}

/** Telling goes on in a task of its own after so long, milliseconds. */
const AT_ONCE_MS = 4;

/** The same where nothing is held and it changes by itself. */
const SHARE = 8;

/** A heavy telling counts so much less with each lighter one after it. */
const FORGETTING = 0.7;

/** After so long without a change the hand rests, and nobody minds the telling, milliseconds. */
const REST_MS = 120;

/**
 * Tells listeners one after the other: what a listener has to draw is drawn before the next one is told, and
 * the picture under the hand gets its turn between; while it moves that is a frame, so that what changes on the
 * page is not laid out all at once. What is told meanwhile anew takes the place of the rest.
 * @returns how long that took without the turns of others, milliseconds
 */
async function inTurn(
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
    if (performance.now() - since < AT_ONCE_MS) continue;
    took += performance.now() - since;
    await (isMoving() ? nextFrame() : nextTask());
    since = performance.now();
  }
  return took + performance.now() - since;
}

/**
 * As a rule listeners hear of each change at once; while it is held, in turn and never for long: at once when
 * the hand rests, else as often as the machine can afford by what telling took before.
 */
export function calmed<Value>({
  read,
  follow,
  everyMs,
  others,
  share,
  isRestless,
}: CalmOptions<Value>): Calm<Value> {
  const listeners = new Set<() => void>();
  let seen = read();
  let isHeld = false;
  /** When they may be told again, whether the hand rests or not. */
  let due = 0;
  /** How long telling everyone takes, the heaviest lately; 0 while nobody knows. */
  let tookMs = 0;
  const nextDue = (now: number): number =>
    now + Math.max(everyMs, (isHeld ? share : SHARE) * (tookMs || others.tellingMs));
  /** Not everyone was told the last time. */
  let owes = false;
  const isBehind = (): boolean => owes || seen !== read();
  let later: ReturnType<typeof setTimeout> | undefined;
  const tellInTurn = (): void => {
    clearTimeout(later);
    later = undefined;
    if (!isBehind()) return;
    const told = (seen = read());
    owes = false;
    const began = performance.now();
    const isEarly = began < due && isHeld;
    // Not again before this is done and has rested.
    const wasDue = due;
    due = Infinity;
    // Those told early only because the hand rested wait again when it moves on.
    const movesOn = (): boolean => isEarly && isHeld && others.changedAt > began;
    void inTurn(
      listeners,
      () => seen === told && !movesOn(),
      () => isHeld,
    ).then((took) => {
      const isWhole = seen === told && !movesOn();
      tookMs = Math.max(took, tookMs * (isWhole ? FORGETTING : 1));
      others.tellingMs = Math.max(took, others.tellingMs);
      if (seen !== told) return;
      owes = !isWhole;
      due = owes ? wasDue : nextDue(began);
      if (isBehind()) tellSoon();
    });
  };
  const tellSoon = (): void => {
    if (due === Infinity) return;
    clearTimeout(later);
    const now = performance.now();
    const at = Math.min(due, isHeld ? others.changedAt + REST_MS : Infinity);
    later = setTimeout(() => tellIfResting(at), Math.max(0, at - now));
  };
  /** A timer that comes late tells of a busy machine, not of a hand that rests. */
  const tellIfResting = (at: number): void => {
    const now = performance.now();
    if (now >= due || !isHeld) return tellInTurn();
    if (now - at > REST_MS / 2) others.changedAt = now;
    if (now - others.changedAt < REST_MS) tellSoon();
    else tellInTurn();
  };
  follow(() => {
    others.changedAt = performance.now();
    if (isHeld || isRestless?.(read())) return tellSoon();
    if (!isBehind()) return;
    clearTimeout(later);
    later = undefined;
    due = 0;
    owes = false;
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
      due = nextDue(performance.now());
    },
    isHeld: () => isHeld,
    release: () => {
      isHeld = false;
      tellInTurn();
    },
  };
}
