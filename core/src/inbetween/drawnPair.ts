import type { Vector } from '../arc/vector';
import type { DrawingPair, DrawingPicture, Figure, Outline, Pin } from '../model/schema';
import { bestStart, nearestOnRing, pairedRings, pointOnRing, type Ring, RING_SAMPLES, ringOf } from './rings';
import { bestSimilarity, NO_CHANGE, type Similarity, turned } from './similarity';

/**
 * Spots that are the same on two drawings, the second with the similarity taken out. All are seen from the pivot, in the
 * artwork's units. A spot lies between two pins, and goes with each of them by its part; −1 where there is none.
 */
export interface MatchingSpots {
  readonly first: readonly Vector[];
  readonly second: readonly Vector[];
  readonly pinBefore: Int16Array;
  readonly pinAfter: Int16Array;
  /** How much it goes with the pin after it, 0 to 1; the rest goes with the one before. */
  readonly partAfter: Float64Array;
}

/** Two drawings laid on each other: what an in-between is worked out from. */
export interface DrawnPair {
  readonly pins: readonly Pin[];
  readonly whole: Similarity;
  /** The points of each ring that is drawn; both drawings' corners are among them. */
  readonly rings: readonly MatchingSpots[];
  /** Equal shares of the rings, and the pins: a spot of the drawing goes with those about it. */
  readonly spots: MatchingSpots;
  readonly firstPivot: Vector;
  readonly secondPivot: Vector;
}

/** A pin this near to an outline, in sizes of the drawing, holds it. */
const PIN_REACH = 0.045;
/** An outline this thin on the average, in sizes of the drawing, is a line that encloses nothing. */
const THIN = 0.02;
/** An outline that covers so much of its picture is the edge of its paper. */
const WHOLE_PAPER = 0.985;
/** Two shares of a ring closer than this are the same place. */
const SAME_SHARE = 1e-9;

export const sizeOfDrawing = ({ width, height }: Pick<DrawingPicture, 'width' | 'height'>): number =>
  Math.hypot(width, height);

export const pivotOfDrawing = (
  { pivot }: Pick<Figure, 'pivot'>,
  { width, height }: Pick<DrawingPicture, 'width' | 'height'>,
): Vector => pivot ?? { x: width / 2, y: height / 2 };

const knownRings = new WeakMap<Outline, { readonly pivot: Vector; readonly rings: readonly Ring[] }>();

function ringsOf({ outline }: Pick<DrawingPicture, 'outline'>, pivot: Vector): readonly Ring[] {
  const known = knownRings.get(outline);
  if (known?.pivot.x === pivot.x && known.pivot.y === pivot.y) return known.rings;
  const rings = outline
    .map((flat) => ringOf(flat, pivot))
    .filter(({ length, area }) => length > 0 && area !== 0);
  knownRings.set(outline, { pivot, rings });
  return rings;
}

/** A line that encloses nothing has no outline that could become another one: only its pins can move it. */
export function isLineAlone(drawing: DrawingPicture): boolean {
  const rings = ringsOf(drawing, { x: 0, y: 0 });
  const size = sizeOfDrawing(drawing);
  return rings.every(({ area, length }) => (2 * Math.abs(area)) / length < THIN * size);
}

/** A picture without clear ground: its outline is the edge of its paper. */
export function hasNoGround(drawing: DrawingPicture): boolean {
  const rings = ringsOf(drawing, { x: 0, y: 0 });
  return rings.some(({ area }) => Math.abs(area) >= WHOLE_PAPER * drawing.width * drawing.height);
}

/** A pin that holds a ring of both drawings, by the shares of their lengths. */
interface Anchor {
  readonly pin: number;
  readonly first: number;
  readonly second: number;
}

const roundFrom = (from: number, to: number): number => to - from - Math.floor(to - from);

/** Whether pins come round a ring in the same order on both drawings, each at a place of its own. */
const isInOrder = (anchors: readonly Anchor[]): boolean =>
  anchors.length < 2 ||
  anchors.reduce(
    (sum, { second }, i) => sum + roundFrom(second, anchors[(i + 1) % anchors.length]!.second),
    0,
  ) <
    1 + SAME_SHARE;

/** Anchors in the order of the first drawing; those that would come in another order on the second are left out. */
function inOrder(anchors: readonly Anchor[]): { readonly kept: readonly Anchor[]; readonly left: boolean } {
  let kept: Anchor[] = [];
  let left = false;
  for (const anchor of anchors) {
    const next = [...kept, anchor].sort((a, b) => a.first - b.first);
    const isFree = kept.every(
      ({ first, second }) =>
        Math.abs(first - anchor.first) > SAME_SHARE && Math.abs(second - anchor.second) > SAME_SHARE,
    );
    if (isFree && isInOrder(next)) kept = next;
    else left = true;
  }
  return { kept, left };
}

interface RingPair {
  readonly first: Ring | null;
  readonly second: Ring | null;
  readonly anchors: readonly Anchor[];
}

function nearestRing(rings: readonly Ring[], spot: Vector, reach: number): number | null {
  let [best, least] = [null as number | null, reach];
  rings.forEach((ring, i) => {
    const { away } = nearestOnRing(ring, spot);
    if (away <= least) [best, least] = [i, away];
  });
  return best;
}

function ringPairs(
  first: readonly Ring[],
  second: readonly Ring[],
  pins: readonly (readonly [Vector, Vector])[],
  size: number,
): { readonly pairs: readonly RingPair[]; readonly crossing: boolean } {
  const held = new Map<number, { readonly with: number; readonly anchors: Anchor[] }>();
  let crossing = false;
  pins.forEach(([a, b], pin) => {
    const i = nearestRing(first, a, PIN_REACH * size);
    const j = nearestRing(second, b, PIN_REACH * size);
    if (i === null || j === null) return;
    const known = held.get(i);
    const isTaken = [...held.entries()].some(([other, { with: partner }]) => other !== i && partner === j);
    if (isTaken || (known && known.with !== j)) {
      crossing = true;
      return;
    }
    const anchor = {
      pin,
      first: nearestOnRing(first[i]!, a).share,
      second: nearestOnRing(second[j]!, b).share,
    };
    if (known) known.anchors.push(anchor);
    else held.set(i, { with: j, anchors: [anchor] });
  });
  const taken = new Set([...held.values()].map(({ with: partner }) => partner));
  const freeFirst = first.flatMap((_, i) => (held.has(i) ? [] : [i]));
  const freeSecond = second.flatMap((_, j) => (taken.has(j) ? [] : [j]));
  const rest = pairedRings(
    freeFirst.map((i) => first[i]!),
    freeSecond.map((j) => second[j]!),
    size,
  );
  const pinned = [...held.entries()].map(([i, { with: j, anchors }]): RingPair => {
    const { kept, left } = inOrder(anchors);
    crossing ||= left;
    return { first: first[i]!, second: second[j]!, anchors: kept };
  });
  const free = rest.map(([i, j]): RingPair => ({
    first: i === null ? null : first[freeFirst[i]!]!,
    second: j === null ? null : second[freeSecond[j]!]!,
    anchors: [],
  }));
  return { pairs: [...pinned, ...free], crossing };
}

/** A place on a ring of the first drawing, and the same on the second: between pins equal shares of the length. */
interface Station {
  readonly first: number;
  readonly second: number;
  readonly pinBefore: number;
  readonly pinAfter: number;
  readonly partAfter: number;
}

function stationAt(anchors: readonly Anchor[], start: number, share: number): Station {
  const count = anchors.length;
  if (count === 0) return { first: share, second: share + start, pinBefore: -1, pinAfter: -1, partAfter: 0 };
  let k = count - 1;
  for (let i = 0; i < count; i++) if (anchors[i]!.first <= share + SAME_SHARE) k = i;
  if (anchors[0]!.first > share + SAME_SHARE) k = count - 1;
  const [before, after] = [anchors[k]!, anchors[(k + 1) % count]!];
  const lengthFirst = count === 1 ? 1 : roundFrom(before.first, after.first);
  const lengthSecond = count === 1 ? 1 : roundFrom(before.second, after.second);
  const gone = roundFrom(before.first, share);
  const part = gone > 1 - SAME_SHARE ? 0 : Math.min(1, gone / lengthFirst);
  return {
    first: share,
    second: before.second + part * lengthSecond,
    pinBefore: before.pin,
    pinAfter: after.pin,
    partAfter: part,
  };
}

/** Anchors as they come round the second ring: from there on the first is looked up. */
const turnedRound = (anchors: readonly Anchor[]): readonly Anchor[] =>
  anchors
    .map(({ pin, first, second }): Anchor => ({ pin, first: second, second: first }))
    .sort((a, b) => a.first - b.first);

function stationsOf({ first, second, anchors }: RingPair, start: number): Station[] {
  const back = turnedRound(anchors);
  const shares = [
    ...Array.from({ length: RING_SAMPLES }, (_, k) => k / RING_SAMPLES),
    ...(first?.shares ?? []),
    ...(second?.shares ?? []).map((share) => (first ? stationAt(back, -start, share).second : share)),
    ...anchors.map((anchor) => anchor.first),
  ]
    .map((share) => share - Math.floor(share))
    .sort((a, b) => a - b);
  return shares
    .filter((share, i) => i === 0 || share - shares[i - 1]! > SAME_SHARE)
    .map((share) => stationAt(anchors, start, share));
}

function matching(
  first: readonly Vector[],
  second: readonly Vector[],
  with_: readonly Pick<Station, 'pinBefore' | 'pinAfter' | 'partAfter'>[],
): MatchingSpots {
  return {
    first,
    second,
    pinBefore: Int16Array.from(with_, ({ pinBefore }) => pinBefore),
    pinAfter: Int16Array.from(with_, ({ pinAfter }) => pinAfter),
    partAfter: Float64Array.from(with_, ({ partAfter }) => partAfter),
  };
}

const seenFrom = (pivot: Vector, { x, y }: Vector): Vector => ({ x: x - pivot.x, y: y - pivot.y });

function middleOf(spots: readonly Vector[]): Vector {
  const count = spots.length;
  return {
    x: spots.reduce((sum, { x }) => sum + x, 0) / count,
    y: spots.reduce((sum, { y }) => sum + y, 0) / count,
  };
}

function ringSpots(
  { first, second }: RingPair,
  stations: readonly Station[],
  whole: Similarity,
): MatchingSpots {
  const a = first && stations.map((station) => pointOnRing(first, station.first));
  const b = second && stations.map((station) => turned(whole, pointOnRing(second, station.second), -1));
  // A ring without a partner grows from its middle, or shrinks to it.
  const at = a && !b ? first.middle : b && middleOf(b);
  const still = (): Vector[] => stations.map(() => at!);
  return matching(a ?? still(), b ?? still(), stations);
}

interface Worked {
  readonly pair: DrawnPair;
  readonly crossing: boolean;
}

function work(figure: Figure, a: DrawingPicture, b: DrawingPicture, pins: readonly Pin[]): Worked {
  const [firstPivot, secondPivot] = [pivotOfDrawing(figure, a), pivotOfDrawing(figure, b)];
  const pinned = pins.map(
    ({ first, second }) => [seenFrom(firstPivot, first), seenFrom(secondPivot, second)] as const,
  );
  const isLine = isLineAlone(a) || isLineAlone(b);
  const { pairs, crossing } = isLine
    ? { pairs: [], crossing: false }
    : ringPairs(ringsOf(a, firstPivot), ringsOf(b, secondPivot), pinned, sizeOfDrawing(a));
  const started = pairs.map((pair) => ({
    ...pair,
    start: pair.first && pair.second && pair.anchors.length === 0 ? bestStart(pair.first, pair.second) : 0,
  }));
  const even = started.flatMap(({ first, second, anchors, start }) =>
    first && second
      ? Array.from({ length: RING_SAMPLES }, (_, k) => {
          const station = stationAt(anchors, start, k / RING_SAMPLES);
          return {
            ...station,
            from: pointOnRing(first, station.first),
            to: pointOnRing(second, station.second),
          };
        })
      : [],
  );
  const from = [...even.map((one) => one.from), ...pinned.map(([spot]) => spot)];
  const to = [...even.map((one) => one.to), ...pinned.map(([, spot]) => spot)];
  const whole = from.length > 0 ? bestSimilarity(from, to) : NO_CHANGE;
  const spots = matching(
    from,
    to.map((spot) => turned(whole, spot, -1)),
    [...even, ...pins.map((_, pin) => ({ pinBefore: pin, pinAfter: pin, partAfter: 0 }))],
  );
  const rings = started.map((pair) => ringSpots(pair, stationsOf(pair, pair.start), whole));
  return { pair: { pins, whole, rings, spots, firstPivot, secondPivot }, crossing };
}

export function pinsBetween(
  { drawingPairs }: Pick<Figure, 'drawingPairs'>,
  first: number,
  second: number,
): readonly Pin[] {
  const asked = drawingPairs.find((pair) => pair.first === first && pair.second === second);
  if (asked) return asked.pins;
  const back = drawingPairs.find((pair) => pair.first === second && pair.second === first);
  return back?.pins.map((pin) => ({ ...pin, first: pin.second, second: pin.first })) ?? NO_PINS;
}
const NO_PINS: readonly Pin[] = [];

const knownPairs = new WeakMap<Figure, Map<string, Worked | null>>();

function worked(figure: Figure, first: number, second: number): Worked | null {
  let known = knownPairs.get(figure);
  if (!known) knownPairs.set(figure, (known = new Map()));
  const name = `${first} ${second}`;
  let found = known.get(name);
  if (found === undefined) {
    const drawings = figure.artwork.kind === 'pictures' ? figure.artwork.drawings : [];
    const [a, b] = [drawings[first - 1], drawings[second - 1]];
    found = a && b && first !== second ? work(figure, a, b, pinsBetween(figure, first, second)) : null;
    known.set(name, found);
  }
  return found;
}

/** Two drawings of a figure laid on each other; null where it does not have both. @param first from 1 */
export const drawnPair = (figure: Figure, first: number, second: number): DrawnPair | null =>
  worked(figure, first, second)?.pair ?? null;

/** Pins that are nearer to each other than this, in sizes of the drawing, are on one spot. */
const ONE_SPOT = 0.005;

/** What keeps some pins from saying how the first of two drawings becomes the second, as a sentence; null for nothing. */
export function pinsFault(
  figure: Figure,
  { first, second }: Pick<DrawingPair, 'first' | 'second'>,
): string | null {
  const found = worked(figure, first, second);
  if (!found || figure.artwork.kind !== 'pictures') return null;
  const near = ONE_SPOT * sizeOfDrawing(figure.artwork.drawings[first - 1]!);
  const isOnOne = (a: Vector, b: Vector): boolean => Math.hypot(a.x - b.x, a.y - b.y) < near;
  const { pins } = found.pair;
  const twins = pins.some((pin, i) =>
    pins.slice(0, i).some((other) => isOnOne(pin.first, other.first) || isOnOne(pin.second, other.second)),
  );
  if (twins)
    return 'There’s a pin on that spot already. Put this one somewhere else, or drag the other away.';
  if (found.crossing)
    return 'The outlines would cross: on the other drawing the pins don’t come in the same order round the outline.';
  return null;
}
