import { persistenceWords as words } from '../words/persistence';
import { type Picture, PICTURE_LIMITS } from '@humble/core';
import { addressOf, API, ROUTES } from '@humble/core/routes';
import { OFFLINE_SENTENCE } from './api';

/** Where the server keeps a picture, by the SHA-256 of its bytes. */
export const pictureAddress = (sha256: string): string => API + addressOf('readPicture', { sha256 });

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

/** A picture that the server has, and what it has to say of it; empty for nothing. */
export interface BroughtPicture {
  readonly picture: Picture;
  readonly note: string;
}

/**
 * Brings a picture to the server, which looks at it and keeps it.
 * @throws Error with a sentence that names the file
 */
export async function keepPicture(file: File, signal: AbortSignal): Promise<BroughtPicture> {
  if (file.size > PICTURE_LIMITS.bytes) throw new Error(words.isLargerThan40MB(file.name));
  const response = await fetch(API + addressOf('keepPicture'), {
    method: ROUTES.keepPicture.method,
    headers: { 'content-type': typeOf(file), 'x-file-name': encodeURIComponent(file.name.slice(0, 120)) },
    body: file,
    signal,
  }).catch((error: unknown) => {
    if (signal.aborted) throw error;
    throw new Error(OFFLINE_SENTENCE);
  });
  const answer = (await response.json().catch(() => null)) as
    (Picture & { readonly note?: string; readonly detail?: string }) | null;
  if (response.ok && answer) {
    const { note = '', detail: _detail, ...picture } = answer;
    return { picture: { ...picture, name: file.name.slice(0, 120) }, note };
  }
  throw new Error(
    `“${file.name}”: ${answer?.detail ?? words.theServerAnsweredWithAnErrorAfterColon(response.status)}`,
  );
}
