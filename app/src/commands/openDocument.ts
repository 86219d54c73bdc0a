import { versionWords as words } from '../words/versions';
import { edits, type Shot } from '@humble/core';
import { api, failureOf, failureSentence, type StoredShot } from '../persistence/api';
import { type Autosave, startAutosave } from '../persistence/autosave/autosave';
import type { KnownShot } from '../persistence/knownShots';
import { isSameShot } from '../persistence/sameShot';
import { knownShots } from '../persistence/laterParts';
import { takeHandedOver } from '../persistence/handedOver';
import { draftOf, dropDraft, dropKept, historyOf, type KeptDraft } from '../persistence/drafts';
import {
  conflictFound,
  conflictSettled,
  documentClosed,
  documentOpened,
  messageShown,
  saveStatusChanged,
  type SaveStatus,
} from '../store/sessionSlice';
import { shotClosed, shotOpened, type Steps } from '../store/shotSlice';
import { store } from '../persistence/appStore';
import { goTo } from '../playback/playhead';
import { watchRevision } from '../persistence/watchRevision';

let autosave: Autosave | null = null;
/** The shot before leaves the workbench before the next one comes. */
let closing: Promise<void> = Promise.resolve();

function saver(): Autosave {
  if (!autosave) {
    autosave = startAutosave(store);
    if (typeof document !== 'undefined') watchRevision(store, autosave);
  }
  return autosave;
}

/** Why a shot is not on the workbench. */
export interface NotOpened {
  readonly kind: 'gone' | 'removed' | 'damaged' | 'offline' | 'failed';
  readonly sentence: string;
  readonly draft: Shot | null;
}

export type OpenResult = 'opened' | NotOpened;

interface OnBench {
  readonly id: string;
  readonly shot: Shot;
  readonly revision: number;
  readonly status: SaveStatus;
  readonly settled: Shot | null;
  readonly draft: KeptDraft | null;
}

/** Whether what the server holds is what this device had sent, or what its edits began with: nobody else changed it. */
const isOwn = ({ sent, good }: KeptDraft, shot: Shot): boolean =>
  [sent, good].some((known) => known && isSameShot(known, shot));

/**
 * What was done to the shot before, where this device knows it. Of a draft that goes back no further than to
 * what the server last took.
 */
async function stepsOf({ id, shot, draft }: OnBench): Promise<Steps> {
  const kept = await historyOf(id, shot, draft).catch(() => null);
  if (kept) return kept;
  return { past: draft?.good && !isSameShot(draft.good, shot) ? [draft.good] : [], future: [] };
}

async function putOnBench(bench: OnBench): Promise<void> {
  const { id, shot, revision, status, settled } = bench;
  const step = shot.arcs.length > 0 ? 'timing' : 'arc';
  const steps = await stepsOf(bench);
  // Each shot begins at its beginning, not where the one before stood.
  if (store.getState().session.document?.id !== id) goTo(1);
  store.dispatch(documentOpened({ id, revision, status, step }));
  // Undone to what the server has, nothing is unsent: that is known by the object.
  saver().settle(settled && (steps.past.findLast((past) => isSameShot(past, settled)) ?? settled));
  store.dispatch(shotOpened(shot, steps));
}

async function openDraft(
  id: string,
  draft: KeptDraft,
  status: SaveStatus,
  settled: Shot | null,
): Promise<void> {
  await putOnBench({ id, shot: draft.shot, revision: draft.revision, status, settled, draft });
  void saver().flush();
}

type Answer = { readonly data?: StoredShot; readonly error?: unknown };

async function storedShot(id: string): Promise<Answer> {
  const known = takeHandedOver(id);
  if (known) return { data: known };
  const request = store.dispatch(api.endpoints.readShot.initiate(id, { forceRefetch: true }));
  const { data, error, isError } = await request;
  request.unsubscribe();
  // A failed request still carries the data of an earlier one.
  return isError ? { error } : { data, error };
}

const knownHere = (id: string): Promise<KnownShot | null> =>
  knownShots().then(
    ({ knownShot }) => knownShot(id),
    () => null,
  );

/** Brings a shot onto the workbench: the server's, or edits of it that never got there. */
export async function openDocument(id: string): Promise<OpenResult> {
  await closing;
  const [answer, draft] = await Promise.all([storedShot(id), draftOf(id).catch(() => null)]);
  if (!answer.data) {
    const failure = failureOf(answer.error);
    if (failure.kind === 'stale' || failure.kind === 'refused')
      return { kind: 'failed', sentence: failureSentence(answer.error), draft: draft?.shot ?? null };
    const { kind, sentence } = failure;
    if ((kind === 'offline' || kind === 'failed') && draft) {
      await openDraft(id, draft, kind, draft.good);
      return 'opened';
    }
    const known = kind === 'offline' ? await knownHere(id) : null;
    if (known) {
      const { shot, revision } = known;
      await putOnBench({ id, shot, revision, status: 'offline', settled: shot, draft: null });
      return 'opened';
    }
    return { kind, sentence, draft: draft?.shot ?? null };
  }
  const { revision, shot } = answer.data;
  const stored = answer.data;
  void knownShots().then(
    ({ keepKnown }) => keepKnown(stored),
    () => undefined,
  );
  if (!draft || isSameShot(draft.shot, shot)) {
    if (draft) void dropKept(draft.key).catch(() => undefined);
    await putOnBench({ id, shot, revision, status: 'saved', settled: shot, draft: null });
  } else if (draft.revision === revision || isOwn(draft, shot))
    await openDraft(id, { ...draft, revision }, 'unsaved', shot);
  else {
    await putOnBench({
      id,
      shot: draft.shot,
      revision: draft.revision,
      status: 'conflict',
      settled: null,
      draft,
    });
    store.dispatch(conflictFound({ revision, shot }));
  }
  return 'opened';
}

export async function restoreShot(id: string): Promise<boolean> {
  const result = await store.dispatch(api.endpoints.restoreShot.initiate(id));
  store.dispatch(messageShown(result.error ? failureSentence(result.error) : words.isBack(result.data.name)));
  if (!result.data) return false;
  if (store.getState().session.document?.id === id) {
    store.dispatch(saveStatusChanged({ status: saver().hasUnsent() ? 'unsaved' : 'saved' }));
    await saver().flush();
  }
  return true;
}

export async function restoreShots(ids: readonly string[]): Promise<void> {
  for (const id of ids) if (!(await restoreShot(id))) return;
  if (ids.length > 1) store.dispatch(messageShown(words.shotsAreBack(ids.length)));
}

/** Saves a version of a shot as one of its own. Returns its id; null when it could not be, and says why. */
export async function saveAsCopy(shot: Shot): Promise<string | null> {
  const copy = withSuffix(shot, words.myVersion);
  const result = await store.dispatch(api.endpoints.createShot.initiate(copy));
  store.dispatch(messageShown(result.data ? words.savedAs(copy.name) : failureSentence(result.error)));
  return result.data?.id ?? null;
}

/** A server that does not answer holds the closing up no longer than this, milliseconds. */
const MAX_CLOSE_MS = 2000;

export function closeDocument(id: string): Promise<void> {
  const close = async (): Promise<void> => {
    if (store.getState().session.document?.id !== id) return;
    await saver().keep();
    const patience = new Promise<void>((resolve) => setTimeout(resolve, MAX_CLOSE_MS));
    await Promise.race([saver().flush(), patience]);
    if (store.getState().session.document?.id !== id) return;
    store.dispatch(shotClosed());
    store.dispatch(documentClosed());
  };
  closing = close();
  return closing;
}

const withSuffix = (shot: Shot, suffix: string): Shot =>
  edits.renameShot(shot, { name: `${shot.name.slice(0, 120 - suffix.length)}${suffix}` });

/**
 * Ends a conflict. Whichever version is kept, the other becomes a shot of its own: nothing is lost.
 */
export async function settleConflict(keep: 'mine' | 'theirs'): Promise<void> {
  const { session, shot: history } = store.getState();
  const { document, theirs } = session;
  const mine = history.present.shot;
  if (!document || !theirs || !mine) return;
  const spare =
    keep === 'mine' ? withSuffix(theirs.shot, words.otherVersion) : withSuffix(mine, words.myVersion);
  const result = await store.dispatch(api.endpoints.createShot.initiate(spare));
  if (result.error) {
    store.dispatch(messageShown(failureSentence(result.error)));
    return;
  }
  store.dispatch(conflictSettled());
  if (keep === 'theirs') {
    await dropDraft(document.id).catch(() => undefined);
    const { revision, shot } = theirs;
    await putOnBench({ id: document.id, shot, revision, status: 'saved', settled: shot, draft: null });
  } else {
    store.dispatch(saveStatusChanged({ status: 'unsaved', revision: theirs.revision }));
    await saver().flush();
  }
  store.dispatch(messageShown(words.otherVersionKept(spare.name)));
}
