import { addressOf, API } from '@humble/core/routes';
import { persistenceWords as words } from '../words/persistence';
import { api, failureOf } from './api';
import type { Autosave } from './autosave/autosave';
import { messageShown, saveStatusChanged } from '../store/sessionSlice';
import { doEdit } from '../store/doEdit';
import type { AppStore } from '../store/store';

const EVERY_MS = 2500;

/**
 * Watches whether the open shot is changed or removed in another window or on another device, while the page
 * can be seen. A change is taken over when nothing of this page is unsent; it can be undone like any other.
 * What is unsent meets the change when it is saved: then the user chooses. Returns what stops it.
 */
export function watchRevision(store: AppStore, autosave: Autosave): () => void {
  const isWatched = (): boolean => {
    const status = store.getState().session.document?.status;
    // Opened while the server was away, it is watched until that answers.
    return (
      (status === 'saved' || status === 'offline') &&
      document.visibilityState === 'visible' &&
      !autosave.hasUnsent()
    );
  };

  const ask = async <Result>(request: PromiseLike<Result> & { unsubscribe: () => void }): Promise<Result> => {
    const answer = await request;
    request.unsubscribe();
    return answer;
  };

  const takeOver = async (id: string): Promise<void> => {
    const { data } = await ask(store.dispatch(api.endpoints.readShot.initiate(id, { forceRefetch: true })));
    const open = store.getState().session.document;
    if (!data || !isWatched() || open?.id !== id || data.revision <= open.revision) return;
    autosave.settle(data.shot);
    store.dispatch(saveStatusChanged({ status: 'saved', revision: data.revision }));
    store.dispatch(doEdit('replaceShot', { shot: data.shot }));
    store.dispatch(messageShown(words.changedInOtherWindow));
  };

  const look = async (): Promise<void> => {
    const open = store.getState().session.document;
    if (!open || !isWatched()) return;
    const { id } = open;
    const answer = await ask(store.dispatch(api.endpoints.readRevision.initiate(id, { forceRefetch: true })));
    const now = store.getState().session.document;
    if (now?.id !== id || !isWatched()) return;
    const isRemoved = answer.data?.isRemoved ?? (answer.error && failureOf(answer.error).kind === 'gone');
    if (isRemoved) {
      store.dispatch(saveStatusChanged({ status: 'removed' }));
      store.dispatch(messageShown(words.removedInOtherWindow, { kind: 'restore', shotIds: [id] }));
    } else if (answer.data && answer.data.revision > now.revision) await takeOver(id);
    else if (answer.data && now.status === 'offline') store.dispatch(saveStatusChanged({ status: 'saved' }));
  };

  // The server says when the shot was saved elsewhere; whoever cannot hear it asks now and then.
  let followed: { readonly id: string; readonly source: EventSource } | null = null;
  const follow = (): void => {
    const id = document.visibilityState === 'visible' ? store.getState().session.document?.id : undefined;
    if (id === followed?.id || typeof EventSource === 'undefined') return;
    followed?.source.close();
    followed =
      id === undefined ? null : { id, source: new EventSource(API + addressOf('followShot', { id })) };
    followed?.source.addEventListener('message', () => void look());
  };
  const unfollow = store.subscribe(follow);

  let timer: ReturnType<typeof setTimeout>;
  const next = (): void => {
    timer = setTimeout(() => void look().finally(next), EVERY_MS);
  };
  next();
  const seen = (): void => {
    follow();
    void look();
  };
  follow();
  document.addEventListener('visibilitychange', seen);
  return () => {
    clearTimeout(timer);
    unfollow();
    followed?.source.close();
    document.removeEventListener('visibilitychange', seen);
  };
}
