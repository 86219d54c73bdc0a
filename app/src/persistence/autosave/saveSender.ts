import type { Shot } from '@humble/core';
import { conflictFound, messageShown, saveStatusChanged } from '../../store/sessionSlice';
import type { AppStore } from '../../store/store';
import { persistenceWords as words } from '../../words/persistence';
import { api, failureOf } from '../api';
import { knownShots } from '../laterParts';
import { isSameShot } from '../sameShot';
import type { DraftKeeper } from './draftKeeper';
import type { OpenShot } from './openShot';

/** An edit rests this long before it goes to the server, milliseconds. */
const REST_MS = 700;
/** Editing without a rest is sent this often all the same. */
const MAX_UNSENT_MS = 4000;
const FIRST_RETRY_MS = 1000;
const MAX_RETRY_MS = 10_000;

/** Sends edits to the server, and tries again while it does not answer. */
export interface SaveSender {
  readonly edited: () => void;
  readonly flush: () => Promise<void>;
  readonly undone: () => void;
  /** Another shot is open: forgets what was sent for the one before. */
  readonly forget: () => void;
  readonly stop: () => void;
}

export function createSaveSender(store: AppStore, open: OpenShot, drafts: DraftKeeper): SaveSender {
  let unsentSince = 0;
  let retryMs = FIRST_RETRY_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let underWay: Promise<void> | null = null;

  const sendAfter = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void flush(), ms);
  };

  const succeeded = async (id: string, shot: Shot, revision: number): Promise<void> => {
    open.settle(shot);
    const saved = { id, revision, shot, updatedAt: new Date().toISOString() };
    void knownShots().then(
      ({ keepKnown }) => keepKnown(saved),
      () => undefined,
    );
    open.noteSent(null);
    retryMs = FIRST_RETRY_MS;
    store.dispatch(saveStatusChanged({ status: open.isUnsent() ? 'unsaved' : 'saved', revision }));
    if (open.isUnsent()) {
      unsentSince = Date.now();
      await drafts.write();
      sendAfter(REST_MS);
    } else await drafts.drop(id);
  };

  const tryAgain = (): void => {
    sendAfter(retryMs);
    retryMs = Math.min(retryMs * 2, MAX_RETRY_MS);
  };

  /** @param before what was sent before it and never answered */
  const failed = async (id: string, shot: Shot, before: Shot | null, error: unknown): Promise<void> => {
    const failure = failureOf(error);
    switch (failure.kind) {
      case 'offline':
        store.dispatch(saveStatusChanged({ status: 'offline' }));
        return tryAgain();
      case 'failed':
        if (open.document()?.status !== 'failed') store.dispatch(messageShown(failure.sentence));
        store.dispatch(saveStatusChanged({ status: 'failed' }));
        return tryAgain();
      case 'stale': {
        const { current } = failure;
        // The answer to an earlier save was lost on the way: what the server holds is our own.
        const own = [before, shot].find((candidate) => candidate && isSameShot(candidate, current.shot));
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
    const [shot, document] = [open.shot(), open.document()];
    if (!shot || !document || !open.isUnsent() || document.status === 'conflict') return;
    clearTimeout(timer);
    const { id, revision } = document;
    const before = open.sent();
    open.noteSent(shot);
    if (document.status === 'unsaved' || document.status === 'saved')
      store.dispatch(saveStatusChanged({ status: 'saving' }));
    const result = await store.dispatch(api.endpoints.saveShot.initiate({ id, revision, shot }));
    if (open.document()?.id !== id) {
      // The workbench moved on while this was under way; its draft goes only with its success.
      if (!result.error) await drafts.drop(id);
      return;
    }
    if (result.error) await failed(id, shot, before, result.error);
    else await succeeded(id, shot, result.data.revision);
  };

  const flush = async (): Promise<void> => {
    while (underWay) await underWay;
    if (!open.isUnsent()) return;
    underWay = send().finally(() => (underWay = null));
    await underWay;
  };

  return {
    flush,
    edited: () => {
      const status = open.document()?.status;
      if (status === 'saved' || status === 'refused' || status === 'removed') {
        unsentSince = Date.now();
        store.dispatch(saveStatusChanged({ status: 'unsaved' }));
      }
      if (status !== 'offline' && status !== 'failed' && status !== 'conflict')
        sendAfter(Math.max(0, Math.min(REST_MS, unsentSince + MAX_UNSENT_MS - Date.now())));
    },
    undone: () => {
      clearTimeout(timer);
      const status = open.document()?.status;
      // Whether the server is back is asked elsewhere.
      if (status !== 'saved' && status !== 'conflict' && status !== 'offline' && !underWay)
        store.dispatch(saveStatusChanged({ status: 'saved' }));
    },
    forget: () => open.noteSent(null),
    stop: () => clearTimeout(timer),
  };
}
