import { addressOf, API } from '@humble/core/routes';

export const pictureAddress = (sha256: string): string => API + addressOf('readPicture', { sha256 });
