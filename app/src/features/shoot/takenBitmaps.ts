import { smallPictureAddress } from '../../persistence/pictures';

/** The loop shows pictures no wider than this, pixels: 300 of them then take 155 MB. */
const LOOP_WIDTH_PX = 480;

type Known = ImageBitmap | 'loading' | 'missing';

const known = new Map<string, Known>();

async function load(sha256: string, onThere: () => void): Promise<void> {
  known.set(sha256, 'loading');
  try {
    const answer = await fetch(smallPictureAddress(sha256));
    if (!answer.ok) throw new Error(`${answer.status}`);
    const options = { resizeWidth: LOOP_WIDTH_PX, resizeQuality: 'medium' } as const;
    known.set(sha256, await createImageBitmap(await answer.blob(), options));
    onThere();
  } catch {
    known.set(sha256, 'missing');
  }
}

/** A picture as the loop shows it; null until it is there. @param onThere called when it is */
export function takenBitmap(sha256: string, onThere: () => void): ImageBitmap | null {
  const found = known.get(sha256);
  if (found === undefined) void load(sha256, onThere);
  return found instanceof ImageBitmap ? found : null;
}

/** Fetches pictures one after the other, so that the first loop does not wait. @returns what stops it */
export function fetchTaken(shas: readonly string[]): () => void {
  let isOver = false;
  void (async () => {
    for (const sha256 of shas) {
      if (isOver) return;
      if (!known.has(sha256)) await load(sha256, () => undefined);
    }
  })();
  return () => {
    isOver = true;
  };
}

/** Lets go of pictures that a shot no longer has. */
export function forgetTakenBut(shas: ReadonlySet<string>): void {
  for (const [sha256, found] of known) {
    if (shas.has(sha256)) continue;
    if (found instanceof ImageBitmap) found.close();
    known.delete(sha256);
  }
}
