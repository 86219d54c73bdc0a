import type { Shot } from '@humble/core';
import type { AppStore } from '../../store/store';
import { keepHistory } from '../drafts';
import type { OpenShot } from './openShot';

/** What can be undone is written after a longer rest than the edits: it weighs more. Milliseconds. */
const REST_MS = 1000;

/** Keeps what can be undone in the browser, so that it outlives a reload. */
export interface HistoryKeeper {
  readonly writeSoon: () => void;
  readonly flush: () => void;
  readonly stop: () => void;
}

const shotsOf = (states: readonly { readonly shot: Shot | null }[]): Shot[] =>
  states.flatMap(({ shot }) => shot ?? []);

export function createHistoryKeeper(store: AppStore, open: OpenShot): HistoryKeeper {
  let timer: ReturnType<typeof setTimeout> | undefined;

  const stop = (): void => {
    clearTimeout(timer);
    timer = undefined;
  };

  const write = (): void => {
    stop();
    const document = open.document();
    const { past, present, future } = store.getState().shot;
    if (!document || !present.shot) return;
    // Without it a reload forgets what could be undone; nothing is lost by that.
    void keepHistory({
      shotId: document.id,
      past: shotsOf(past),
      present: present.shot,
      future: shotsOf(future),
      at: Date.now(),
    }).catch(() => undefined);
  };

  return {
    writeSoon: () => {
      stop();
      if (open.document()) timer = setTimeout(write, REST_MS);
    },
    flush: () => {
      if (timer !== undefined) write();
    },
    stop,
  };
}
