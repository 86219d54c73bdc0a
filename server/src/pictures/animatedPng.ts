/** Bytes of a PNG before its first chunk. */
const SIGNATURE = 8;
/** Length, name and checksum of a chunk, around its data. */
const AROUND_DATA = 12;
/** Chunks that make a PNG move (APNG specification 1.0). */
const MOVING = new Set(['acTL', 'fcTL', 'fdAT']);

interface Chunk {
  readonly name: string;
  readonly bytes: Buffer;
}

function* chunksOf(png: Buffer): Generator<Chunk> {
  let at = SIGNATURE;
  while (at + AROUND_DATA <= png.length) {
    const end = at + AROUND_DATA + png.readUInt32BE(at);
    yield { name: png.toString('latin1', at + 4, at + 8), bytes: png.subarray(at, end) };
    at = end;
  }
}

export function isMoving(png: Buffer): boolean {
  for (const { name } of chunksOf(png)) if (name === 'acTL') return true;
  return false;
}

/** A PNG without what makes it move: the picture that programs show which know no moving ones. */
export const stillPng = (png: Buffer): Buffer =>
  Buffer.concat([
    png.subarray(0, SIGNATURE),
    ...[...chunksOf(png)].filter(({ name }) => !MOVING.has(name)).map(({ bytes }) => bytes),
  ]);
