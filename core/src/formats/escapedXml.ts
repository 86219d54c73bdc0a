const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** A text as it may stand in XML. */
export const escapedXml = (text: string): string => text.replace(/[&<>"]/g, (letter) => ENTITIES[letter]!);
