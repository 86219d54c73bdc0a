import type { Shot } from '@humble/core';
import { api, failureOf } from './api';
import { dropDraft, dropKept, keepDraft, keptDrafts } from './drafts';
import { conflictFound, said, saveMoved } from './sessionSlice';
import type { AppStore } from './store';

/** An edit rests this long before it goes to the server, milliseconds. */
const REST_MS = 700;
/** Editing without a rest is sent this often all the same. */
const LONGEST_UNSENT_MS = 4000;
/** Drafts are written at most this often. */
const DRAFT_EVERY_MS = 250;
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 10_000;

export interface Autosave {
  /** Writes what is unsent into the browser now. */
  readonly keep: () => Promise<void>;
  /** Sends what is unsent now; resolves when the server has answered or is away. */
  readonly flush: () => Promise<void>;
  /** Tells that the shot on the workbench is what the server has: nothing is unsent. */
  readonly settle: (shot: Shot | null) => void;
  readonly stop: () => void;
}

/**
 * Keeps every edit of the open shot: at once in the browser, and after a rest on the server. While the
 * server is away the edits stay in the browser and are sent when it is back.
 */
export function startAutosave(store: AppStore): Autosave {
  /** The shot as the server is known to have it. */
  let settled: Shot | null = null;
  /** What was sent last without an answer: the server may have it. */
  let lost: Shot | null = null;
  let unsentSince = 0;
  let retryMs = FIRST_RETRY_MS;
  let saveTimer: ReturnType<typeof setTimeout> | undefined;
  let draftTimer: ReturnType<typeof setTimeout> | undefined;
  let underWay: Promise<void> | null = null;
  let draftWork: Promise<void> = Promise.resolve();

  const openShot = (): Shot | null => store.getState().shot.present.shot;
  const openDocument = () => store.getState().session.document;
  const isUnsent = (): boolean => openShot() !== null && openShot() !== settled;

  /** Drafts are written and dropped one after the other: a late write must not bring back a dropped one. */
  const nextDraftWork = (work: () => Promise<void>): Promise<void> => (draftWork = draftWork.then(work));

  const dropOwnDraft = (id: string): Promise<void> => {
    clearTimeout(draftTimer);
    draftTimer = undefined;
    return nextDraftWork(() => dropDraft(id).catch(() => undefined));
  };

  const writeDraft = (): Promise<void> => {
    clearTimeout(draftTimer);
    draftTimer = undefined;
    return nextDraftWork(async () => {
      const shot = openShot();
      const document = openDocument();
      if (!shot || !document || shot === settled) return;
      try {
        await keepDraft({ shotId: document.id, revision: document.revision, shot, at: Date.now() });
      } catch {
        store.dispatch(said('This browser keeps nothing: leave the page open until the shot is saved.'));
      }
    });
  };

  const schedule = (ms: number): void => {
    clearTimeout(saveTimer);
    saveTimer = setTimeout(() => void flush(), ms);
  };

  const succeeded = async (id: string, shot: Shot, revision: number): Promise<void> => {
    settled = shot;
    lost = null;
    retryMs = FIRST_RETRY_MS;
    store.dispatch(saveMoved({ status: isUnsent() ? 'unsaved' : 'saved', revision }));
    if (isUnsent()) {
      unsentSince = Date.now();
      await writeDraft();
      schedule(REST_MS);
    } else await dropOwnDraft(id);
  };

  const failed = async (id: string, shot: Shot, error: unknown): Promise<void> => {
    const failure = failureOf(error);
    if (failure.kind === 'away') {
      lost = shot;
      store.dispatch(saveMoved({ status: 'away' }));
      schedule(retryMs);
      retryMs = Math.min(retryMs * 2, LONGEST_RETRY_MS);
    } else if (failure.kind === 'stale') {
      const { current } = failure;
      const text = JSON.stringify(current.shot);
      // The answer to an earlier save was lost on the way: what the server holds is our own.
      const own = [lost, shot].find((candidate) => candidate && JSON.stringify(candidate) === text);
      if (own) await succeeded(id, own, current.revision);
      else store.dispatch(conflictFound({ revision: current.revision, shot: current.shot }));
    } else {
      store.dispatch(saveMoved({ status: 'refused' }));
      const restoreId = failure.kind === 'removed' ? id : undefined;
      store.dispatch(said(`${failure.sentence} Your edits are kept on this device.`, restoreId));
    }
  };

  const send = async (): Promise<void> => {
    const shot = openShot();
    const document = openDocument();
    if (!shot || !document || shot === settled || document.status === 'conflict') return;
    clearTimeout(saveTimer);
    const { id, revision } = document;
    if (document.status !== 'away') store.dispatch(saveMoved({ status: 'saving' }));
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
    if (!isUnsent()) {
      // Undone before it was sent: the draft of what was undone must not come back at the next visit.
      if (!shot || !document) return;
      void dropOwnDraft(document.id);
      if (document.status === 'unsaved') store.dispatch(saveMoved({ status: 'saved' }));
      return;
    }
    if (!document) return;
    if (document.status === 'saved' || document.status === 'refused') {
      unsentSince = Date.now();
      store.dispatch(saveMoved({ status: 'unsaved' }));
    }
    draftTimer ??= setTimeout(() => void writeDraft(), DRAFT_EVERY_MS);
    if (document.status !== 'away' && document.status !== 'conflict')
      schedule(Math.max(0, Math.min(REST_MS, unsentSince + LONGEST_UNSENT_MS - Date.now())));
  });

  const leave = (): void => {
    if (document.visibilityState !== 'hidden' || !isUnsent()) return;
    void writeDraft();
    void flush();
  };
  const comeBack = (): void => void flush();
  if (typeof document !== 'undefined') document.addEventListener('visibilitychange', leave);
  if (typeof window !== 'undefined') window.addEventListener?.('online', comeBack);

  return {
    keep: writeDraft,
    flush,
    settle: (shot) => {
      settled = shot;
      lost = null;
    },
    stop: () => {
      unsubscribe();
      clearTimeout(saveTimer);
      clearTimeout(draftTimer);
      if (typeof document !== 'undefined') document.removeEventListener('visibilitychange', leave);
      if (typeof window !== 'undefined') window.removeEventListener?.('online', comeBack);
    },
  };
}

/** Left drafts are tried again this often while the server is away, milliseconds. */
const LEFT_DRAFTS_EVERY_MS = 5000;

/** Sends the drafts of shots that are not open; true when the server was away and some remain. */
async function sendLeftDrafts(store: AppStore): Promise<boolean> {
  for (const { key, shotId, revision, shot } of await keptDrafts().catch(() => [])) {
    if (store.getState().session.document?.id === shotId) continue;
    const result = await store.dispatch(api.endpoints.saveShot.initiate({ id: shotId, revision, shot }));
    if (!result.error) await dropKept(key).catch(() => undefined);
    else if (failureOf(result.error).kind === 'away') return true;
    // A conflict waits until its shot is opened: there the user decides.
  }
  return false;
}

/** Sends what an earlier visit left unsent, for as long as that takes. Returns what stops it. */
export function watchLeftDrafts(store: AppStore): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isStopped = false;
  const attempt = async (): Promise<void> => {
    const someRemain = await sendLeftDrafts(store);
    if (someRemain && !isStopped) timer = setTimeout(() => void attempt(), LEFT_DRAFTS_EVERY_MS);
  };
  void attempt();
  return () => {
    isStopped = true;
    clearTimeout(timer);
  };
}
