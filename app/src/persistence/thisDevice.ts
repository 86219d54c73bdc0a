import { keptDrafts } from './drafts';
import { knownShots, offlineStart } from './laterParts';

/** What this device keeps of what the server has, and what waits for it. */
export interface OnThisDevice {
  readonly shots: number;
  readonly mostShots: number;
  readonly pictures: number;
  /** All that the browser keeps for the application, bytes; null where it does not say. */
  readonly bytes: number | null;
  /** Shots with edits that the server does not have. */
  readonly waitingEdits: number;
}

export async function onThisDevice(): Promise<OnThisDevice> {
  const [{ knownIds, MAX_KNOWN_SHOTS }, { cachedPictures }] = await Promise.all([
    knownShots(),
    offlineStart(),
  ]);
  const [known, pictures, drafts, estimate] = await Promise.all([
    knownIds(),
    cachedPictures().catch(() => 0),
    keptDrafts().catch(() => []),
    navigator.storage?.estimate?.().catch(() => null) ?? null,
  ]);
  const waitingEdits = new Set(drafts.map(({ shotId }) => shotId)).size;
  return {
    shots: known.size,
    mostShots: MAX_KNOWN_SHOTS,
    pictures,
    bytes: estimate?.usage ?? null,
    waitingEdits,
  };
}

/** Clears what the server has as well; edits and pictures that wait for it stay. */
export async function clearThisDevice(): Promise<void> {
  const [{ forgetKnown }, { forgetCachedPictures }] = await Promise.all([knownShots(), offlineStart()]);
  await forgetKnown();
  await forgetCachedPictures();
}
