import { addressOf, API } from '@humble/core/routes';

/** Pictures that the server does not have yet, by their SHA-256: addresses of this page. */
const local = new Map<string, string>();

/** Where a picture is to be had: on this page until the server has it. */
export const pictureAddress = (sha256: string): string =>
  local.get(sha256) ?? API + addressOf('readPicture', { sha256 });

/** The same, no wider than a phone: for a loop of many pictures. */
export const smallPictureAddress = (sha256: string): string =>
  local.get(sha256) ?? API + addressOf('readSmallPicture', { sha256 });

/** Shows a picture from this page, until the server has it. */
export function showLocally(sha256: string, bytes: Blob): void {
  if (!local.has(sha256)) local.set(sha256, URL.createObjectURL(bytes));
}
