import type { ListedShot } from '../../persistence/api';
import type { ListOrder } from '../../store/settingsSlice';

/** The shots of one film, in the order in which they are shown. */
export interface FilmGroup {
  /** Empty for shots that belong to no film. */
  readonly film: string;
  readonly shots: readonly ListedShot[];
}

const byName = (a: string, b: string): number => a.localeCompare(b, 'en', { numeric: true });

const ORDERS: Readonly<Record<ListOrder, (a: ListedShot, b: ListedShot) => number>> = {
  // Shots that were never put in order by hand come last, the one changed last first.
  hand: (a, b) =>
    a.rank === b.rank ? b.updatedAt.localeCompare(a.updatedAt) : (a.rank ?? Infinity) - (b.rank ?? Infinity),
  change: (a, b) => b.updatedAt.localeCompare(a.updatedAt),
  name: (a, b) => byName(a.name, b.name),
};

/**
 * Shots by the film that they belong to, the film that was changed last first; by name where shots go by that, and what
 * belongs to none last then.
 */
export function filmsOf(shots: readonly ListedShot[], order: ListOrder): readonly FilmGroup[] {
  const films = new Map<string, ListedShot[]>();
  for (const shot of shots) films.set(shot.film, [...(films.get(shot.film) ?? []), shot]);
  const latest = (group: FilmGroup): string =>
    group.shots.reduce((last, { updatedAt }) => (updatedAt > last ? updatedAt : last), '');
  return [...films]
    .map(([film, own]): FilmGroup => ({ film, shots: own.sort(ORDERS[order]) }))
    .sort((a, b) =>
      order === 'name'
        ? Number(a.film === '') - Number(b.film === '') || byName(a.film, b.film)
        : latest(b).localeCompare(latest(a)),
    );
}

/** Length of some shots together, seconds. */
export const secondsOf = (shots: readonly Pick<ListedShot, 'lengthFrames' | 'rate'>[]): number =>
  shots.reduce((total, { lengthFrames, rate }) => total + lengthFrames / rate, 0);

/** The ids of a film's shots with one of them a place earlier or later; null where it is at the end already. */
export function movedBy(shots: readonly ListedShot[], id: string, by: -1 | 1): readonly string[] | null {
  const ids = shots.map((shot) => shot.id);
  const at = ids.indexOf(id);
  const to = at + by;
  if (at < 0 || to < 0 || to >= ids.length) return null;
  [ids[at], ids[to]] = [ids[to]!, ids[at]!];
  return ids;
}
