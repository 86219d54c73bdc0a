import type { Shot } from '@humble/core';
import { browserStore } from './browserStore';
import { isSameShot } from './sameShot';

export interface Draft {
  readonly shotId: string;
  readonly revision: number;
  readonly shot: Shot;
  /** The shot as the server last had it; null when that is not known. A way back from an edit that it refuses. */
  readonly good: Shot | null;
  /** What was sent and not answered when it was kept: the server may have it by now. */
  readonly sent?: Shot | null;
  readonly at: number;
}

export interface KeptDraft extends Draft {
  readonly key: string;
}

/** What can be undone and redone on a shot, kept so that it outlives a reload. */
export interface KeptHistory {
  readonly shotId: string;
  readonly past: readonly Shot[];
  readonly present: Shot;
  readonly future: readonly Shot[];
  readonly at: number;
}

/** Histories are kept for so long, milliseconds. */
const HISTORY_LIFE_MS = 24 * 3600 * 1000;
const MAX_HISTORIES = 20;

const drafts = browserStore('humble-pendulum', 'drafts');
const histories = browserStore('humble-pendulum-history', 'histories');

let ownWindow: string | null = null;

// Two windows on the same shot must not overwrite each other's drafts; a reload keeps the window's own.
function windowName(): string {
  if (ownWindow) return ownWindow;
  const fresh = Math.random().toString(36).slice(2, 10);
  try {
    ownWindow = sessionStorage.getItem('humble-window') ?? fresh;
    sessionStorage.setItem('humble-window', ownWindow);
  } catch {
    ownWindow = fresh;
  }
  return ownWindow;
}

const keyOf = (shotId: string): string => `${shotId}:${windowName()}`;
const isOwn = (key: string): boolean => key.endsWith(`:${windowName()}`);

export const keepDraft = async (draft: Draft): Promise<void> => drafts.put([keyOf(draft.shotId), draft]);

export const dropDraft = async (shotId: string): Promise<void> => drafts.remove(keyOf(shotId));

export const dropKept = async (key: string): Promise<void> => drafts.remove(key);

const ownFirst = <Value extends { readonly at: number }>(
  all: readonly [string, Value][],
): [string, Value][] => [...all].sort(([a, x], [b, y]) => Number(isOwn(b)) - Number(isOwn(a)) || y.at - x.at);

export const keptDrafts = async (): Promise<KeptDraft[]> =>
  ownFirst(await drafts.all<Draft>()).map(([key, draft]) => ({ ...draft, key }));

export const draftOf = async (shotId: string): Promise<KeptDraft | null> =>
  (await keptDrafts()).find((draft) => draft.shotId === shotId) ?? null;

/** When a history was kept stands beside it, so that old ones are found without reading them. */
const TIME = 'at ';

export const keepHistory = async (history: KeptHistory): Promise<void> => {
  const key = keyOf(history.shotId);
  return histories.put([key, history], [TIME + key, history.at]);
};

async function dropOldHistories(): Promise<void> {
  const times = (await histories.keys()).filter((key) => key.startsWith(TIME));
  const kept = await histories.get<number>(times);
  const newestFirst = times.map((key, i) => ({ key, at: kept[i] ?? 0 })).sort((a, b) => b.at - a.at);
  const old = newestFirst.filter(({ at }, i) => Date.now() - at > HISTORY_LIFE_MS || i >= MAX_HISTORIES);
  if (old.length > 0) await histories.remove(...old.flatMap(({ key }) => [key, key.slice(TIME.length)]));
}

/**
 * What can be undone on a shot that is opened: the kept history that ends with it. This window's own may be
 * a step behind a draft of its own; then what it ends with is one step more to be undone.
 */
export async function historyOf(
  shotId: string,
  shot: Shot,
  draft: KeptDraft | null,
): Promise<KeptHistory | null> {
  await dropOldHistories();
  const found = (await histories.keys()).filter((key) => key.startsWith(`${shotId}:`));
  const kept = await histories.get<KeptHistory>(found);
  const ofShot = ownFirst(
    found.flatMap((key, i): [string, KeptHistory][] => (kept[i] ? [[key, kept[i]]] : [])),
  );
  const exact = ofShot.find(([, { present }]) => isSameShot(present, shot));
  if (exact) return exact[1];
  const behind = draft && isOwn(draft.key) ? ofShot.find(([key]) => isOwn(key)) : undefined;
  if (!behind) return null;
  const [, history] = behind;
  return { ...history, past: [...history.past, history.present], present: shot, future: [] };
}
