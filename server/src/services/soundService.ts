import { createHash } from 'node:crypto';
import type { Sound } from '@humble/core';
import type { Database } from '../database/openDatabase';
import { Problem } from '../http/problem';
import type { Threads } from '../threads/threads';

/** What can be done with sounds. Each is kept once, by the SHA-256 of its bytes. */
export function createSoundService({ sounds }: Database, threads: Threads) {
  return {
    /** Looks at a sound and keeps it. @throws Problem `invalid-sound` */
    keep: async (bytes: Buffer, name: string): Promise<Omit<Sound, 'startSeconds'>> => {
      const { type, seconds } = await threads.seeSound(bytes);
      const sha256 = createHash('sha256').update(bytes).digest('hex');
      // One statement, so that it never waits for or breaks into the transaction of a save.
      await sounds.bulkCreate([{ sha256, type, seconds, bytes }], { ignoreDuplicates: true });
      return { sha256, type, name, seconds };
    },

    /** Whether the very bytes of a file are kept already. */
    has: async (file: Buffer): Promise<boolean> => {
      const sha256 = createHash('sha256').update(file).digest('hex');
      return (await sounds.findByPk(sha256, { attributes: ['sha256'] })) !== null;
    },

    read: async (sha256: string): Promise<{ readonly type: string; readonly bytes: Buffer }> => {
      const record = await sounds.findByPk(sha256);
      if (!record) throw new Problem(404, 'sound-not-found', 'There is no such sound.');
      return { type: record.type, bytes: record.bytes };
    },
  };
}

export type SoundService = ReturnType<typeof createSoundService>;
