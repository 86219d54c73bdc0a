const DAY_MS = 24 * 3600 * 1000;

/** How many whole days there are until a moment; 0 on the last of them, and after it. */
export const daysUntil = (iso: string, now: Date): number =>
  Math.max(0, Math.floor((Date.parse(iso) - now.valueOf()) / DAY_MS));
