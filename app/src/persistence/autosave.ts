import { persistenceWords as words } from '../words/persistence';
import type { Shot } from '@humble/core';
import { api, failureOf } from './api';
import { type Draft, dropDraft, keepDraft, keepHistory } from './drafts';
import { conflictFound, draftStatusChanged, messageShown, saveStatusChanged } from '../store/sessionSlice';
import type { AppStore } from '../store/store';

/** An edit rests this long before it goes to the server, milliseconds. */
const REST_MS = 700;
/** Editing without a rest is sent this often all the same. */
const MAX_UNSENT_MS = 4000;
/** An edit is written into the browser when nothing was changed for this long, milliseconds … */
const DRAFT_REST_MS = 40;
/** … and while it goes on, this often. */
const DRAFT_EVERY_MS = 250;
/** A browser that has not kept a draft after this long is said not to keep it; it is tried again as often. */
const DRAFT_PATIENCE_MS = 1500;
/** What can be undone is written after a longer rest: it weighs more. */
const HISTORY_REST_MS = 1000;
const FIRST_RETRY_MS = 1000;
const MAX_RETRY_MS = 10_000;

export interface Autosave {
  /** Writes what is unsent into the browser now. */
  readonly keep: () => Promise<void>;
  /** Sends what is unsent now; resolves when the server has answered or does not. */
  readonly flush: () => Promise<void>;
  /** Called when the open shot is what the server has: nothing is unsent. */
  readonly settle: (shot: Shot | null) => void;
  /** Whether the workbench holds edits that the server does not have. */
  readonly hasUnsent: () => boolean;
  readonly stop: () => void;
}

const patience = (ms: number): Promise<never> =>
  new Promise((_, reject) => setTimeout(() => reject(new Error(words.theBrowserDoesNotAnswer)), ms));

/**
 * Keeps every edit of the open shot: at once in the browser, and after a rest on the server. While the
 * server does not answer the edits stay in the browser and are sent when it is back; while the browser keeps
 * nothing either, the page says so, asks before it is left, and goes on trying.
 */
export function startAutosave(store: AppStore): Autosave {
  /** The shot as the server is known to have it. */
  let settled: Shot | null = null;
  /** What was sent last without an answer: the server may have it. */
  let lost: Shot | null = null;
  let unsentSince = 0;
  let undraftedSince = 0;
  let retryMs = FIRST_RETRY_MS;
  let saveTimer: ReturnType<typeof setTimeout> | undefined;
  let draftTimer: ReturnType<typeof setTimeout> | undefined;
  let historyTimer: ReturnType<typeof setTimeout> | undefined;
  let underWay: Promise<void> | null = null;
  let draftWork: Promise<void> = Promise.resolve();
  let isStopped = false;

  const openShot = (): Shot | null => store.getState().shot.present.shot;
  const openDocument = () => store.getState().session.document;
  const isUnsent = (): boolean => openShot() !== null && openShot() !== settled;

  /**
   * Drafts are written and dropped one after the other: a late write must not bring back a dropped one. One
   * that fails, or never ends, does not hold up those after it.
   */
  const nextDraftWork = (work: () => Promise<void>): Promise<void> => {
    draftWork = draftWork
      .then(() => Promise.race([work(), patience(DRAFT_PATIENCE_MS)]))
      .catch(() => undefined);
    return draftWork;
  };

  const stopDraftTimer = (): void => {
    clearTimeout(draftTimer);
    draftTimer = undefined;
    undraftedSince = 0;
  };

  const noteDraft = (isUnkept: boolean): void => {
    if (openDocument() && openDocument()?.isUnkept !== isUnkept)
      store.dispatch(draftStatusChanged({ isUnkept }));
  };

  const dropOwnDraft = (id: string): Promise<void> => {
    stopDraftTimer();
    noteDraft(false);
    return nextDraftWork(() => dropDraft(id));
  };

  const draftNow = (): Draft | null => {
    const shot = openShot();
    const document = openDocument();
    if (!shot || !document || shot === settled) return null;
    return { shotId: document.id, revision: document.revision, shot, good: settled, at: Date.now() };
  };

  const writeDraft = (): Promise<void> => {
    stopDraftTimer();
    return nextDraftWork(async () => {
      const draft = draftNow();
      if (!draft) return;
      const { shotId } = draft;
      try {
        await Promise.race([keepDraft(draft), patience(DRAFT_PATIENCE_MS)]);
        noteDraft(false);
      } catch {
        if (isStopped || openDocument()?.id !== shotId || !isUnsent()) return;
        noteDraft(true);
        draftTimer ??= setTimeout(() => void writeDraft(), DRAFT_PATIENCE_MS);
      }
    });
  };

  const scheduleDraft = (): void => {
    const now = Date.now();
    if (undraftedSince === 0) undraftedSince = now;
    clearTimeout(draftTimer);
    const rest = Math.min(DRAFT_REST_MS, Math.max(0, undraftedSince + DRAFT_EVERY_MS - now));
    draftTimer = setTimeout(() => void writeDraft(), rest);
  };

  const writeHistory = (): void => {
    clearTimeout(historyTimer);
    historyTimer = undefined;
    const { past, present, future } = store.getState().shot;
    const document = openDocument();
    if (!document || !present.shot) return;
    const shots = (states: readonly { readonly shot: Shot | null }[]): Shot[] =>
      states.flatMap(({ shot }) => shot ?? []);
    // Without it a reload forgets what could be undone; nothing is lost by that.
    void keepHistory({
      shotId: document.id,
      past: shots(past),
      present: present.shot,
      future: shots(future),
      at: Date.now(),
    }).catch(() => undefined);
  };

  const schedule = (ms: number): void => {
    clearTimeout(saveTimer);
    saveTimer = setTimeout(() => void flush(), ms);
  };

  const succeeded = async (id: string, shot: Shot, revision: number): Promise<void> => {
    settled = shot;
    lost = null;
    retryMs = FIRST_RETRY_MS;
    store.dispatch(saveStatusChanged({ status: isUnsent() ? 'unsaved' : 'saved', revision }));
    if (isUnsent()) {
      unsentSince = Date.now();
      await writeDraft();
      schedule(REST_MS);
    } else await dropOwnDraft(id);
  };

  const tryAgain = (): void => {
    schedule(retryMs);
    retryMs = Math.min(retryMs * 2, MAX_RETRY_MS);
  };

  const failed = async (id: string, shot: Shot, error: unknown): Promise<void> => {
    const failure = failureOf(error);
    switch (failure.kind) {
      case 'offline':
        lost = shot;
        store.dispatch(saveStatusChanged({ status: 'offline' }));
        return tryAgain();
      case 'failed':
        if (openDocument()?.status !== 'failed') store.dispatch(messageShown(failure.sentence));
        store.dispatch(saveStatusChanged({ status: 'failed' }));
        return tryAgain();
      case 'stale': {
        const { current } = failure;
        const text = JSON.stringify(current.shot);
        // The answer to an earlier save was lost on the way: what the server holds is our own.
        const own = [lost, shot].find((candidate) => candidate && JSON.stringify(candidate) === text);
        if (own) await succeeded(id, own, current.revision);
        else store.dispatch(conflictFound({ revision: current.revision, shot: current.shot }));
        return;
      }
      case 'removed':
        store.dispatch(saveStatusChanged({ status: 'removed' }));
        store.dispatch(messageShown(failure.sentence, { kind: 'restore', shotIds: [id] }));
        return;
      case 'gone':
      case 'damaged':
        store.dispatch(saveStatusChanged({ status: 'refused' }));
        store.dispatch(messageShown(failure.sentence, { kind: 'save-copy' }));
        return;
      case 'refused':
        store.dispatch(saveStatusChanged({ status: 'refused' }));
        store.dispatch(messageShown(words.undoTheLastChange(failure.sentence)));
    }
  };

  const send = async (): Promise<void> => {
    const shot = openShot();
    const document = openDocument();
    if (!shot || !document || shot === settled || document.status === 'conflict') return;
    clearTimeout(saveTimer);
    const { id, revision } = document;
    if (document.status === 'unsaved' || document.status === 'saved')
      store.dispatch(saveStatusChanged({ status: 'saving' }));
    const result = await store.dispatch(api.endpoints.saveShot.initiate({ id, revision, shot }));
    if (openDocument()?.id !== id) {
      // The workbench moved on while this was under way; its draft goes only with its success.
      if (!result.error) await dropOwnDraft(id);
      return;
    }
    if (result.error) await failed(id, shot, result.error);
    else await succeeded(id, shot, result.data.revision);
  };

  const flush = async (): Promise<void> => {
    while (underWay) await underWay;
    if (!isUnsent()) return;
    underWay = send().finally(() => (underWay = null));
    await underWay;
  };

  let before = openShot();
  const unsubscribe = store.subscribe(() => {
    const shot = openShot();
    if (shot === before) return;
    before = shot;
    const document = openDocument();
    clearTimeout(historyTimer);
    historyTimer = document ? setTimeout(writeHistory, HISTORY_REST_MS) : undefined;
    if (!isUnsent()) {
      // Undone before it was sent: the draft of what was undone must not come back at the next visit.
      if (!shot || !document) return;
      clearTimeout(saveTimer);
      void dropOwnDraft(document.id);
      if (document.status !== 'saved' && document.status !== 'conflict' && !underWay)
        store.dispatch(saveStatusChanged({ status: 'saved' }));
      return;
    }
    if (!document) return;
    const { status } = document;
    if (status === 'saved' || status === 'refused' || status === 'removed') {
      unsentSince = Date.now();
      store.dispatch(saveStatusChanged({ status: 'unsaved' }));
    }
    scheduleDraft();
    if (status !== 'offline' && status !== 'failed' && status !== 'conflict')
      schedule(Math.max(0, Math.min(REST_MS, unsentSince + MAX_UNSENT_MS - Date.now())));
  });

  const leave = (): void => {
    if (openDocument() && historyTimer !== undefined) writeHistory();
    const draft = draftNow();
    if (!draft) return;
    // Not after what is under way: a page that is left has no time to wait for that.
    try {
      void keepDraft(draft).catch(() => undefined);
    } catch {
      // A browser that keeps nothing: the status says so already.
    }
    void flush();
  };
  const hidden = (): void => {
    if (document.visibilityState === 'hidden') leave();
  };
  const ask = (event: BeforeUnloadEvent): void => {
    if (isUnsent() && openDocument()?.isUnkept) event.preventDefault();
  };
  const comeBack = (): void => void flush();
  const listeners: readonly (readonly [EventTarget | undefined, string, (event: never) => void])[] = [
    [typeof document === 'undefined' ? undefined : document, 'visibilitychange', hidden],
    [typeof window === 'undefined' ? undefined : window, 'pagehide', leave],
    [typeof window === 'undefined' ? undefined : window, 'beforeunload', ask],
    [typeof window === 'undefined' ? undefined : window, 'online', comeBack],
  ];
  for (const [target, name, listener] of listeners)
    target?.addEventListener?.(name, listener as unknown as EventListener);

  return {
    keep: async () => {
      if (historyTimer !== undefined) writeHistory();
      await writeDraft();
    },
    flush,
    settle: (shot) => {
      settled = shot;
      lost = null;
    },
    hasUnsent: isUnsent,
    stop: () => {
      isStopped = true;
      unsubscribe();
      for (const timer of [saveTimer, draftTimer, historyTimer]) clearTimeout(timer);
      for (const [target, name, listener] of listeners)
        target?.removeEventListener?.(name, listener as unknown as EventListener);
    },
  };
}
