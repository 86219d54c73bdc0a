import { createHash } from 'node:crypto';
import type { Picture } from '@humble/core';
import { smallPicture } from '../pictures/smallPicture';
import type { Database } from '../database/openDatabase';
import { Problem } from '../http/problem';
import type { Threads } from '../threads/threads';

export interface StoredPicture {
  readonly type: string;
  readonly bytes: Buffer;
}

/** What can be done with pictures. Each is kept once, by the SHA-256 of its bytes. */
/** Small pictures that are kept ready: those of a few loops. */
const SMALL_KEPT = 2_000;

export function createPictureService({ pictures }: Database, threads: Threads) {
  const small = new Map<string, StoredPicture>();
  const read = async (sha256: string): Promise<StoredPicture> => {
    const record = await pictures.findByPk(sha256);
    if (!record) throw new Problem(404, 'picture-not-found', 'There is no such picture.');
    return { type: record.type, bytes: record.bytes };
  };
  return {
    /** Looks at a picture and keeps it. @throws Problem `invalid-picture` */
    keep: async (file: Buffer, name: string): Promise<Picture & { note: string }> => {
      const seen = await threads.seePicture(file);
      const { type, width, height, note } = seen;
      const bytes = Buffer.from(seen.bytes);
      const sha256 = createHash('sha256').update(bytes).digest('hex');
      // One statement, so that it never waits for or breaks into the transaction of a save.
      await pictures.bulkCreate([{ sha256, type, width, height, bytes }], { ignoreDuplicates: true });
      return { sha256, type, name, width, height, note };
    },

    /** Whether the very bytes of a file are kept already. */
    has: async (file: Buffer): Promise<boolean> => {
      const sha256 = createHash('sha256').update(file).digest('hex');
      return (await pictures.findByPk(sha256, { attributes: ['sha256'] })) !== null;
    },

    read,

    /** A picture no wider than a phone's field; a drawing as it is. @throws Problem `picture-not-found` */
    readSmall: async (sha256: string): Promise<StoredPicture> => {
      const known = small.get(sha256);
      if (known) return known;
      const whole = await read(sha256);
      if (whole.type === 'image/svg+xml') return whole;
      const made = { type: 'image/jpeg', bytes: await smallPicture(whole.bytes) };
      if (small.size >= SMALL_KEPT) small.delete(small.keys().next().value!);
      small.set(sha256, made);
      return made;
    },
  };
}

export type PictureService = ReturnType<typeof createPictureService>;
