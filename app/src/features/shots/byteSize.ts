import { writeNumber } from '../../ui/numbers';
import { historyWords as words } from '../../words/history';

const KILOBYTE = 1024;

/** What something takes, in kilobytes or megabytes. */
export const byteSize = (bytes: number): string =>
  bytes < KILOBYTE * KILOBYTE
    ? words.kilobytes(String(Math.ceil(bytes / KILOBYTE)))
    : words.megabytes(writeNumber(bytes / (KILOBYTE * KILOBYTE), 1));
