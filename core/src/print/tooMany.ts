import { outOfRange } from '../model/errors';

/** Over so many pages one is asked before a PDF is made. */
export const MANY_PAGES = 60;

export const MAX_PAGES = 10_000;

/** @throws ShotError `out-of-range` for more pages than any PDF here has */
export function refuseTooMany(pages: number): void {
  if (pages > MAX_PAGES)
    throw outOfRange(
      `At true scale that takes ${Math.ceil(pages).toLocaleString('en')} pages, and ${MAX_PAGES.toLocaleString('en')} is the most. Check the scale of the field.`,
    );
}
