import { fileStem } from '@humble/core';

/** A file name from a shot's name. */
export const fileNameOf = (shotName: string, ending: string): string => `${fileStem(shotName)}${ending}`;
