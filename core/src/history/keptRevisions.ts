/** A stored state of a shot: when it was saved, milliseconds since 1970, and what it costs. */
export interface RevisionAge {
  readonly revision: number;
  readonly at: number;
}

const HOUR_MS = 3600_000;
const DAY_MS = 24 * HOUR_MS;

/** All are kept of so long, then one an hour of so long, then one a day. Milliseconds. */
export const ALL_KEPT_MS = HOUR_MS;
export const HOURLY_KEPT_MS = DAY_MS;

/**
 * Of what span of time an older revision is the only one that stays; null for those of the last hour, which all stay.
 * A revision from the future (a clock was set back) is one of the last hour.
 */
function spanOf(at: number, now: number): string | null {
  const age = now - at;
  if (age <= ALL_KEPT_MS) return null;
  // Counted from 1970, not from now: a revision that stands for its hour goes on standing for it.
  if (age <= HOURLY_KEPT_MS) return `hour ${Math.floor(at / HOUR_MS)}`;
  return `day ${Math.floor(at / DAY_MS)}`;
}

/**
 * Which revisions of a shot are kept, thinned with age: all of the last hour, one an hour of the last day, one a day
 * before that. Of a span it is the last one, so the state in which the work was left; so the newest of all always stays.
 * @param revisions in the order of their numbers
 * @returns the numbers of those that stay
 */
export function keptRevisions(revisions: readonly RevisionAge[], now: number): ReadonlySet<number> {
  const kept = new Set<number>();
  const lastOf = new Map<string, number>();
  for (const { revision, at } of revisions) {
    const span = spanOf(at, now);
    if (span === null) kept.add(revision);
    else lastOf.set(span, revision);
  }
  for (const revision of lastOf.values()) kept.add(revision);
  return kept;
}
