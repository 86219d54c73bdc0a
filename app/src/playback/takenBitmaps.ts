import { smallPictureBytes } from '../persistence/pictures';

/** The loop shows pictures no wider than this, pixels: 300 of them then take 155 MB. */
const LOOP_WIDTH_PX = 480;

/** A picture that is asked for: its bitmap when it is there; null where it cannot be had. */
interface Known {
  readonly coming: Promise<void>;
  bitmap: ImageBitmap | null;
}

const known = new Map<string, Known>();

async function bitmapOf(sha256: string): Promise<ImageBitmap | null> {
  try {
    const bytes = await smallPictureBytes(sha256);
    if (!bytes) return null;
    return await createImageBitmap(bytes, { resizeWidth: LOOP_WIDTH_PX, resizeQuality: 'medium' });
  } catch {
    return null;
  }
}

function load(sha256: string): Known {
  const found = known.get(sha256);
  if (found) return found;
  const one: Known = {
    bitmap: null,
    coming: bitmapOf(sha256).then((bitmap) => {
      one.bitmap = bitmap;
      // One that could not be had is asked for again by the next who wants it.
      if (!bitmap) known.delete(sha256);
    }),
  };
  known.set(sha256, one);
  return one;
}

/** A picture as the loop shows it; null until it is there. @param onThere called when it is */
export function takenBitmap(sha256: string, onThere: () => void): ImageBitmap | null {
  const { bitmap, coming } = load(sha256);
  if (!bitmap) void coming.then(() => known.get(sha256)?.bitmap && onThere());
  return bitmap;
}

/** Fetches pictures one after the other, so that the first loop does not wait. @returns what stops it */
export function fetchTaken(shas: readonly string[]): () => void {
  let isOver = false;
  void (async () => {
    for (const sha256 of shas) {
      if (isOver) return;
      await load(sha256).coming;
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
    found.bitmap?.close();
    known.delete(sha256);
  }
}
