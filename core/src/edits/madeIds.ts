import type { Shot } from '../model/schema';
import { TRACKS } from '../timing/tracks';

/** The ids of the parts that an edit made, in the order of the shot. */
export interface MadeIds {
  readonly arcs: readonly string[];
  readonly figures: readonly string[];
  readonly moves: readonly string[];
  readonly gestures: readonly string[];
  readonly points: readonly string[];
  readonly marks: readonly string[];
  readonly keys: readonly string[];
  readonly riders: readonly string[];
}

interface Part {
  readonly id: string;
}

function fresh<P extends Part>(before: readonly P[] | undefined, after: readonly P[]): readonly string[] {
  if (before === after) return [];
  const known = new Set(before?.map(({ id }) => id));
  return after.flatMap(({ id }) => (known.has(id) ? [] : [id]));
}

function freshWithin<P extends Part, Q extends Part>(
  before: readonly P[],
  after: readonly P[],
  partsOf: (part: P) => readonly Q[],
): readonly string[] {
  if (before === after) return [];
  const known = new Map(before.map((part) => [part.id, part]));
  return after.flatMap((part) => {
    const earlier = known.get(part.id);
    return earlier === part ? [] : fresh(earlier && partsOf(earlier), partsOf(part));
  });
}

export const madeIds = (before: Shot, after: Shot): MadeIds => ({
  arcs: fresh(before.arcs, after.arcs),
  figures: fresh(before.figures, after.figures),
  moves: fresh(before.moves, after.moves),
  gestures: fresh(before.gestures, after.gestures),
  points: freshWithin(before.arcs, after.arcs, ({ points }) => points),
  marks: freshWithin(before.moves, after.moves, ({ marks }) => marks),
  keys: freshWithin(before.moves, after.moves, ({ tracks }) => TRACKS.flatMap(({ name }) => tracks[name])),
  riders: freshWithin(before.moves, after.moves, ({ riders }) => riders),
});
