import { plainText } from '../model/plainText';

const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** A text as it may stand in XML: without what no XML may have. */
export const escapedXml = (text: string): string =>
  plainText(text).replace(/[&<>"]/g, (letter) => ENTITIES[letter]!);
