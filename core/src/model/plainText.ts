import type { Zod } from './zod';

/**
 * What is no text: controls (tabs and line ends apart), halves of pairs, and what Unicode sets aside. No XML may have them
 * (XML 1.0, 2.2), and nobody can see them.
 */
const NO_TEXT =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\uFDD0-\uFDEF\uFFFE\uFFFF]|[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

export const plainText = (text: string): string => text.replace(NO_TEXT, '');

/** The same on one line: what goes to another line or column is a space. */
export const plainLine = (text: string): string =>
  plainText(text.replace(/[\t\n\v\f\r\u0085\u2028\u2029]+/g, ' '));

export const textSchema = (z: Zod) => z.string().overwrite(plainText);

export const lineSchema = (z: Zod) => z.string().overwrite(plainLine);
