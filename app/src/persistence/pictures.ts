import { addressOf, API } from '@humble/core/routes';

/** Where the server keeps a picture, by the SHA-256 of its bytes. */
export const pictureAddress = (sha256: string): string => API + addressOf('readPicture', { sha256 });
