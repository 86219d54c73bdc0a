import type { Picture, Sound } from '../model/schema';

/** What files of each type that a shot may use end in, without the dot. */
export const FILE_ENDINGS: Readonly<Record<Picture['type'] | Sound['type'], string>> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/svg+xml': 'svg',
  'audio/wav': 'wav',
  'audio/mpeg': 'mp3',
};
