import { createHash } from 'node:crypto';
import type { Picture } from '@humble/core';
import type { Database } from '../database/openDatabase';
import { Problem } from '../http/problem';
import { lookAtPicture } from './lookAtPicture';

export interface StoredPicture {
  readonly type: string;
  readonly bytes: Buffer;
}

/** What can be done with pictures. Each is kept once, by the SHA-256 of its bytes. */
export function createPictureService({ pictures }: Database) {
  return {
    /** Looks at a picture and keeps it. @throws ShotError `invalid-picture` */
    keep: async (bytes: Buffer, name: string): Promise<Picture> => {
      const { type, width, height } = await lookAtPicture(bytes);
      const sha256 = createHash('sha256').update(bytes).digest('hex');
      // One statement, so that it never waits for or breaks into the transaction of a save.
      await pictures.bulkCreate([{ sha256, type, width, height, bytes }], { ignoreDuplicates: true });
      return { sha256, type, name, width, height };
    },

    read: async (sha256: string): Promise<StoredPicture> => {
      const record = await pictures.findByPk(sha256);
      if (!record) throw new Problem(404, 'picture-not-found', 'There is no such picture.');
      return { type: record.type, bytes: record.bytes };
    },
  };
}

export type PictureService = ReturnType<typeof createPictureService>;
