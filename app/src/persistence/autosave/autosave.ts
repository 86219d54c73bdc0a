import type { Shot } from '@humble/core';
import { selectShot } from '../../store/selectors/active';
import { type AppStore, listen } from '../../store/store';
import { createDraftKeeper } from './draftKeeper';
import { createHistoryKeeper } from './historyKeeper';
import { openShotOf } from './openShot';
import { createSaveSender } from './saveSender';

export interface Autosave {
  readonly keep: () => Promise<void>;
  /** Sends what is unsent now; resolves when the server has answered or does not. */
  readonly flush: () => Promise<void>;
  readonly settle: (shot: Shot | null) => void;
  readonly hasUnsent: () => boolean;
  readonly stop: () => void;
}

type PageEvent = readonly [target: EventTarget | undefined, name: string, listener: (event: Event) => void];

/**
 * Keeps every edit of the open shot: at once in the browser, and after a rest on the server. While the
 * server isn’t answering the edits stay in the browser and are sent when it is back; while the browser keeps
 * nothing either, the page says so, asks before it is left, and goes on trying.
 */
export function startAutosave(store: AppStore): Autosave {
  const open = openShotOf(store);
  const drafts = createDraftKeeper(store, open);
  const history = createHistoryKeeper(store, open);
  const sender = createSaveSender(store, open, drafts);

  const unlisten = store.dispatch(
    listen({
      predicate: (_, now, before) => selectShot(now) !== selectShot(before),
      effect: () => {
        history.writeSoon();
        const document = open.document();
        if (!document) return;
        if (open.isUnsent()) {
          sender.edited();
          drafts.writeSoon();
        } else if (open.shot()) {
          // Undone before it was sent: the draft of what was undone must not come back at the next visit.
          void drafts.drop(document.id);
          sender.undone();
        }
      },
    }),
  );

  const leave = (): void => {
    history.flush();
    drafts.writeNow();
    void sender.flush();
  };
  const [page, win] = [
    typeof document === 'undefined' ? undefined : document,
    typeof window === 'undefined' ? undefined : window,
  ];
  const events: readonly PageEvent[] = [
    [page, 'visibilitychange', () => document.visibilityState === 'hidden' && leave()],
    [win, 'pagehide', leave],
    [win, 'online', () => void sender.flush()],
    [
      win,
      'beforeunload',
      (event) => {
        if (open.isUnsent() && open.document()?.isUnkept) event.preventDefault();
      },
    ],
  ];
  for (const [target, name, listener] of events) target?.addEventListener?.(name, listener);

  return {
    keep: async () => {
      history.flush();
      await drafts.write();
    },
    flush: sender.flush,
    settle: (shot) => {
      open.settle(shot);
      sender.forget();
    },
    hasUnsent: open.isUnsent,
    stop: () => {
      unlisten();
      for (const part of [sender, drafts, history]) part.stop();
      for (const [target, name, listener] of events) target?.removeEventListener?.(name, listener);
    },
  };
}
