/** How a value grows from one key to the next. */
export const GROWTHS = ['even', 'ratio', 'depth'] as const;
export type Growth = (typeof GROWTHS)[number];

/**
 * A value between two keys. Even; by a steady ratio, a·(b/a)^u; or by steady depth, 1/value even, as something grows
 * that comes nearer at a steady pace.
 * @param u share of the way, as the easing gives it; it may pass 0 and 1
 * @param from, to for a ratio or depth > 0
 */
export function grown(from: number, to: number, u: number, growth: Growth): number {
  switch (growth) {
    case 'even':
      return from + (to - from) * u;
    case 'ratio':
      return from * (to / from) ** u;
    case 'depth':
      return 1 / (1 / from + (1 / to - 1 / from) * u);
  }
}
