import type { Shot } from '@humble/core';
import { createStore, del, entries, set, type UseStore } from 'idb-keyval';

/** Edits that the server has not acknowledged yet, kept in the browser. */
export interface Draft {
  readonly shotId: string;
  /** The revision they are based on. */
  readonly revision: number;
  readonly shot: Shot;
  readonly at: number;
}

let store: UseStore | null = null;
const drafts = (): UseStore => (store ??= createStore('humble-pendulum', 'drafts'));

// Two windows on the same shot must not overwrite each other's drafts; a reload keeps the window's own.
function windowName(): string {
  const known = sessionStorage.getItem('humble-window');
  if (known) return known;
  const fresh = Math.random().toString(36).slice(2, 10);
  sessionStorage.setItem('humble-window', fresh);
  return fresh;
}

const keyOf = (shotId: string, window = windowName()): string => `${shotId}:${window}`;

export const keepDraft = (draft: Draft): Promise<void> => set(keyOf(draft.shotId), draft, drafts());

export const dropDraft = (shotId: string): Promise<void> => del(keyOf(shotId), drafts());

/** A draft with the key it is kept under. */
export interface KeptDraft extends Draft {
  readonly key: string;
}

export const dropKept = (key: string): Promise<void> => del(key, drafts());

/** All drafts, this window's own first, then the newest. */
export async function keptDrafts(): Promise<KeptDraft[]> {
  const own = windowName();
  const all = await entries<string, Draft>(drafts());
  const rank = (key: string): number => (key.endsWith(`:${own}`) ? 0 : 1);
  return all
    .map(([key, draft]) => ({ ...draft, key }))
    .sort((a, b) => rank(a.key) - rank(b.key) || b.at - a.at);
}

/** Edits of a shot that never reached the server. */
export const draftOf = async (shotId: string): Promise<KeptDraft | null> =>
  (await keptDrafts()).find((draft) => draft.shotId === shotId) ?? null;
