import { addressOf, API } from '@humble/core/routes';

interface Local {
  readonly bytes: Blob;
  readonly address: string;
}

/** Pictures that the server does not have yet, by their SHA-256. */
const local = new Map<string, Local>();

/** Where a picture is to be had: on this page until the server has it. */
export const pictureAddress = (sha256: string): string =>
  local.get(sha256)?.address ?? API + addressOf('readPicture', { sha256 });

/** The same, no wider than a phone's field: for a loop of many pictures. */
export const smallPictureAddress = (sha256: string): string =>
  local.get(sha256)?.address ?? API + addressOf('readSmallPicture', { sha256 });

/** Its bytes where they are on this page, or the address where they are. */
export const pictureSource = (sha256: string): Blob | string =>
  local.get(sha256)?.bytes ?? pictureAddress(sha256);

/** The bytes of a small picture; null where it cannot be had. */
export async function smallPictureBytes(sha256: string): Promise<Blob | null> {
  const here = local.get(sha256);
  if (here) return here.bytes;
  const answer = await fetch(smallPictureAddress(sha256)).catch(() => null);
  return answer?.ok ? answer.blob() : null;
}

/** Shows a picture from this page, until the server has it. */
export function showLocally(sha256: string, bytes: Blob): void {
  if (!local.has(sha256)) local.set(sha256, { bytes, address: URL.createObjectURL(bytes) });
}
