import { Refusal } from '../ui/refusal';
import { MAX_SOUND_BYTES, type Sound } from '@humble/core';
import { addressOf, API } from '@humble/core/routes';
import { persistenceWords as words } from '../words/persistence';
import { MAX_FILE_NAME_LENGTH } from './api';
import { keepFile } from './keepFile';

export const soundAddress = (sha256: string): string => API + addressOf('readSound', { sha256 });

export type KeptSound = Omit<Sound, 'startSeconds'>;

/**
 * Brings a sound to the server, which looks at it and keeps it.
 * @throws Refusal with a sentence that names the file
 */
export async function keepSound(file: File, signal: AbortSignal): Promise<KeptSound> {
  if (file.size > MAX_SOUND_BYTES) throw new Refusal(words.isLargerThan(file.name, MAX_SOUND_BYTES));
  const sound = await keepFile<KeptSound>({
    to: 'keepSound',
    file,
    type: file.type || 'application/octet-stream',
    signal,
  });
  return { ...sound, name: file.name.slice(0, MAX_FILE_NAME_LENGTH) };
}
