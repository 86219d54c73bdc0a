import { edits, type Shot } from '@humble/core';
import { api, failureOf, failureSentence, type StoredShot } from './api';
import { type Autosave, startAutosave } from './autosave';
import { draftOf, dropDraft, dropKept, type KeptDraft } from './drafts';
import {
  conflictFound,
  conflictSettled,
  documentClosed,
  documentOpened,
  said,
  saveMoved,
  type SaveStatus,
} from './sessionSlice';
import { shotClosed, shotOpened } from './shotSlice';
import { store } from './store';

let autosave: Autosave | null = null;
/** The shot before leaves the workbench before the next one comes. */
let closing: Promise<void> = Promise.resolve();
const saver = (): Autosave => (autosave ??= startAutosave(store));

export type OpenResult = 'opened' | 'gone' | 'removed' | 'away';

function putOnBench(id: string, shot: Shot, revision: number, status: SaveStatus): void {
  const step = shot.arcs.length > 0 ? 'timing' : 'arc';
  store.dispatch(documentOpened({ id, revision, status, step }));
  saver().settle(status === 'saved' ? shot : null);
  store.dispatch(shotOpened(shot));
}

function openDraft(id: string, draft: KeptDraft, status: SaveStatus): void {
  putOnBench(id, draft.shot, draft.revision, status);
  void saver().flush();
}

/** Brings a shot onto the workbench: the server's, or edits of it that never got there. */
export async function openDocument(id: string): Promise<OpenResult> {
  await closing;
  const request = store.dispatch(api.endpoints.readShot.initiate(id, { forceRefetch: true }));
  const [answer, draft] = await Promise.all([request, draftOf(id).catch(() => null)]);
  request.unsubscribe();
  // A failed request still carries the data of an earlier one.
  if (answer.isError || !answer.data) {
    const { kind } = failureOf(answer.error);
    if (kind === 'away' && draft) {
      openDraft(id, draft, 'away');
      return 'opened';
    }
    return kind === 'away' || kind === 'removed' ? kind : 'gone';
  }
  const { revision, shot } = answer.data;
  if (!draft || JSON.stringify(draft.shot) === JSON.stringify(shot)) {
    if (draft) void dropKept(draft.key).catch(() => undefined);
    putOnBench(id, shot, revision, 'saved');
  } else if (draft.revision === revision) openDraft(id, draft, 'unsaved');
  else {
    putOnBench(id, draft.shot, draft.revision, 'conflict');
    store.dispatch(conflictFound({ revision, shot }));
  }
  return 'opened';
}

/** Takes a shot out of the bin, and sends the edits of it that waited for that. */
export async function restoreShot(id: string): Promise<StoredShot | null> {
  const result = await store.dispatch(api.endpoints.restoreShot.initiate(id));
  store.dispatch(said(result.error ? failureSentence(result.error) : `“${result.data.shot.name}” is back.`));
  if (!result.data) return null;
  if (store.getState().session.document?.id === id) await saver().flush();
  return result.data;
}

/** A server that does not answer holds the closing up no longer than this, milliseconds. */
const LONGEST_CLOSE_MS = 2000;

/** Takes a shot off the workbench once its edits are kept in the browser, and sent if that goes quickly. */
export function closeDocument(id: string): Promise<void> {
  const close = async (): Promise<void> => {
    if (store.getState().session.document?.id !== id) return;
    await saver().keep();
    const patience = new Promise<void>((resolve) => setTimeout(resolve, LONGEST_CLOSE_MS));
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
    keep === 'mine' ? withSuffix(theirs.shot, ' (other version)') : withSuffix(mine, ' (my version)');
  const result = await store.dispatch(api.endpoints.createShot.initiate(spare));
  if (result.error) {
    store.dispatch(said(failureSentence(result.error)));
    return;
  }
  store.dispatch(conflictSettled());
  if (keep === 'theirs') {
    await dropDraft(document.id).catch(() => undefined);
    putOnBench(document.id, theirs.shot, theirs.revision, 'saved');
  } else {
    store.dispatch(saveMoved({ status: 'unsaved', revision: theirs.revision }));
    await saver().flush();
  }
  store.dispatch(said(`The other version is kept as “${spare.name}”.`));
}
