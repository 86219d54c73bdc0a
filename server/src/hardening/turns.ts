import { edits, freshShot, type Shot } from '@humble/core';
import { sendJson } from './serverProcess';

export interface TurnsReport {
  readonly edits: number;
  /** Edits that met one of the other window, and were kept beside it. */
  readonly conflicts: number;
  /** Edits that are neither in the shot, nor in its history, nor in a shot of their own. */
  readonly lost: readonly string[];
  /** Answers that were no answer to a save. */
  readonly unexpected: readonly number[];
}

interface Saved {
  readonly id: string;
  readonly revision: number;
  readonly shot: Shot;
}

/** So often a window saves without having seen what the other one saved. */
const STALE_EVERY = 7;

const stored = async (address: string): Promise<Saved> => (await (await fetch(address)).json()) as Saved;

/** The names that a shot has had, by its history. */
async function namesBefore(address: string): Promise<string[]> {
  const names: string[] = [];
  for (let before = 2 ** 31; ;) {
    const page = (await (await fetch(`${address}/revisions/before/${before}`)).json()) as {
      revisions: { revision: number }[];
    };
    for (const { revision } of page.revisions)
      names.push((await stored(`${address}/revisions/${revision}`)).shot.name);
    const oldest = page.revisions.at(-1)?.revision;
    if (oldest === undefined) return names;
    before = oldest;
  }
}

/**
 * Two windows edit one shot in turns. Mostly each sees what the other saved; now and then it does not, and keeps both
 * versions as the application does: its own as a shot by itself. Afterwards each edit is looked for.
 */
export async function editInTurns(address: string, count: number): Promise<TurnsReport> {
  const fresh = freshShot({ name: 'Start', rate: 24, lengthFrames: 48, width: 1920, height: 1080 });
  const made = (await (await sendJson(`${address}/api/shots`, 'POST', { shot: fresh })).json()) as Saved;
  const shotAddress = `${address}/api/shots/${made.id}`;
  const windows = [made, made];
  const copies: string[] = [];
  const unexpected: number[] = [];
  let conflicts = 0;
  for (let i = 1; i <= count; i++) {
    const which = i % 2;
    if (i % STALE_EVERY !== 0) windows[which] = await stored(shotAddress);
    const { shot, revision } = windows[which]!;
    const name = `Edit ${i}`;
    const next = edits.renameShot(shot, { name });
    const answer = await sendJson(shotAddress, 'PUT', { revision, shot: next });
    if (answer.status === 200) {
      const saved = (await answer.json()) as Saved;
      windows[which] = { ...saved, shot: next };
    } else if (answer.status === 409) {
      conflicts++;
      const { current } = (await answer.json()) as { current: Saved };
      const copy = await sendJson(`${address}/api/shots`, 'POST', { shot: next });
      if (copy.status === 201) copies.push(((await copy.json()) as Saved).id);
      else unexpected.push(copy.status);
      windows[which] = current;
    } else unexpected.push(answer.status);
  }
  const found = new Set(await namesBefore(shotAddress));
  found.add((await stored(shotAddress)).shot.name);
  for (const id of copies) found.add((await stored(`${address}/api/shots/${id}`)).shot.name);
  const lost = Array.from({ length: count }, (_, i) => `Edit ${i + 1}`).filter((name) => !found.has(name));
  return { edits: count, conflicts, lost, unexpected };
}
