import { Refusal } from './refusal';
import { uiWords as words } from '../words/ui';
/** Milliseconds after which a part is fetched that nobody has asked for yet. */
const FETCH_AHEAD_MS = 300;

/**
 * A part of the code that comes after the first screen: fetched ahead as soon as that stands, so that it is there
 * when the server goes away.
 * @returns gives the part; rejects with a sentence while it cannot be fetched, and tries again when asked again
 */
export function fetchAhead<Part>(load: () => Promise<Part>): () => Promise<Part> {
  let loading: Promise<Part> | null = null;
  const once = (): Promise<Part> =>
    (loading ??= load().catch(() => {
      loading = null;
      throw new Refusal(words.partMissingTryAgain);
    }));
  if (typeof window !== 'undefined' && process.env.NODE_ENV !== 'test')
    setTimeout(() => void once().catch(() => undefined), FETCH_AHEAD_MS);
  return once;
}
