import type { Picture } from '@humble/core';
import { keepPicture } from '../../persistence/keepPicture';

/** Brings a picture of the set to the server. */
export const keepBackdrop = async (
  file: File,
  signal: AbortSignal,
): Promise<{ readonly kept: Picture; readonly note: string }> => {
  const { picture, note } = await keepPicture(file, signal);
  return { kept: picture, note };
};
