import { api, failureOf } from './api';
import { dropKept, keptDrafts } from './drafts';
import type { AppStore } from '../store/store';

/** Left drafts are tried again this often while the server isn’t answering, milliseconds. */
const LEFT_DRAFTS_EVERY_MS = 5000;

async function sendLeftDrafts(store: AppStore): Promise<boolean> {
  for (const { key, shotId, revision, shot } of await keptDrafts().catch(() => [])) {
    if (store.getState().session.document?.id === shotId) continue;
    const result = await store.dispatch(api.endpoints.saveShot.initiate({ id: shotId, revision, shot }));
    if (!result.error) await dropKept(key).catch(() => undefined);
    else if (['offline', 'failed'].includes(failureOf(result.error).kind)) return true;
    // A conflict, or what is refused, waits until its shot is opened: there the user decides.
  }
  return false;
}

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
