import type { Picture } from '@humble/core';
import { AWAY_SENTENCE } from './api';

/** Where the server keeps a picture, by the SHA-256 of its bytes. */
export const pictureAddress = (sha256: string): string => `/api/pictures/${sha256}`;

/** What the server takes, bytes. */
const LARGEST_PICTURE = 40_000_000;
const TYPES: Readonly<Record<string, string>> = {
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  svg: 'image/svg+xml',
};

/** What a file says it is; the server looks for itself. */
const typeOf = ({ name, type }: File): string =>
  type || (TYPES[name.split('.').pop()?.toLowerCase() ?? ''] ?? 'application/octet-stream');

/**
 * Brings a picture to the server, which looks at it and keeps it.
 * @throws Error with a sentence that names the file
 */
export async function keepPicture(file: File, signal: AbortSignal): Promise<Picture> {
  if (file.size > LARGEST_PICTURE) throw new Error(`“${file.name}” is larger than 40 MB.`);
  const response = await fetch('/api/pictures', {
    method: 'POST',
    headers: { 'content-type': typeOf(file), 'x-file-name': encodeURIComponent(file.name.slice(0, 120)) },
    body: file,
    signal,
  }).catch((error: unknown) => {
    if (signal.aborted) throw error;
    throw new Error(AWAY_SENTENCE);
  });
  const answer = (await response.json().catch(() => null)) as (Picture & { readonly detail?: string }) | null;
  if (response.ok && answer) return { ...answer, name: file.name.slice(0, 120) };
  throw new Error(answer?.detail ? `“${file.name}”: ${answer.detail}` : AWAY_SENTENCE);
}
