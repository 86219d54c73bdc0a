const LONGEST = 60;

/** A name as a part of a file name: small letters without accents, digits and hyphens; “untitled” where none is left. */
export const fileStem = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .toLowerCase()
    .slice(0, LONGEST)
    .replace(/^-+|-+$/g, '') || 'untitled';
