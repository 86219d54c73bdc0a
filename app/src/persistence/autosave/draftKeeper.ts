import { draftStatusChanged } from '../../store/sessionSlice';
import type { AppStore } from '../../store/store';
import { persistenceWords as words } from '../../words/persistence';
import { type Draft, dropDraft, keepDraft } from '../drafts';
import type { OpenShot } from './openShot';

/** An edit is written into the browser when nothing was changed for this long, milliseconds … */
const REST_MS = 40;
/** … and while it goes on, this often. */
const EVERY_MS = 250;
/** A browser that has not kept a draft after this long is said not to keep it; it is tried again as often. */
const PATIENCE_MS = 1500;

export interface DraftKeeper {
  readonly writeSoon: () => void;
  readonly write: () => Promise<void>;
  readonly drop: (shotId: string) => Promise<void>;
  /** Begins writing without waiting for anything: the page is being left. */
  readonly writeNow: () => void;
  readonly stop: () => void;
}

const patience = (): Promise<never> =>
  new Promise((_, reject) => setTimeout(() => reject(new Error(words.browserAway)), PATIENCE_MS));

export function createDraftKeeper(store: AppStore, open: OpenShot): DraftKeeper {
  let unwrittenSince = 0;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let work: Promise<void> = Promise.resolve();
  let isStopped = false;

  /**
   * Drafts are written and dropped one after the other: a late write must not bring back a dropped one. One
   * that fails, or never ends, does not hold up those after it.
   */
  const inTurn = (next: () => Promise<void>): Promise<void> => {
    work = work.then(() => Promise.race([next(), patience()])).catch(() => undefined);
    return work;
  };

  const stopTimer = (): void => {
    clearTimeout(timer);
    timer = undefined;
    unwrittenSince = 0;
  };

  const noteUnkept = (isUnkept: boolean): void => {
    const document = open.document();
    if (document && document.isUnkept !== isUnkept) store.dispatch(draftStatusChanged({ isUnkept }));
  };

  const draftNow = (): Draft | null => {
    const [shot, document] = [open.shot(), open.document()];
    if (!shot || !document || !open.isUnsent()) return null;
    const { id: shotId, revision } = document;
    return { shotId, revision, shot, good: open.settled(), sent: open.sent(), at: Date.now() };
  };

  const write = (): Promise<void> => {
    stopTimer();
    return inTurn(async () => {
      const draft = draftNow();
      if (!draft) return;
      try {
        await Promise.race([keepDraft(draft), patience()]);
        noteUnkept(false);
      } catch {
        if (isStopped || open.document()?.id !== draft.shotId || !open.isUnsent()) return;
        noteUnkept(true);
        timer ??= setTimeout(() => void write(), PATIENCE_MS);
      }
    });
  };

  return {
    write,
    writeSoon: () => {
      const now = Date.now();
      if (unwrittenSince === 0) unwrittenSince = now;
      clearTimeout(timer);
      timer = setTimeout(() => void write(), Math.min(REST_MS, Math.max(0, unwrittenSince + EVERY_MS - now)));
    },
    drop: (shotId) => {
      stopTimer();
      noteUnkept(false);
      return inTurn(() => dropDraft(shotId));
    },
    writeNow: () => {
      const draft = draftNow();
      if (!draft) return;
      try {
        void keepDraft(draft).catch(() => undefined);
      } catch {
        // A browser that keeps nothing: the status says so already.
      }
    },
    stop: () => {
      isStopped = true;
      clearTimeout(timer);
    },
  };
}
