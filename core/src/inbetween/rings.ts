import type { Vector } from '../arc/vector';

/** A closed line seen from the pivot, and where each of its points stands as a share of its length. */
export interface Ring {
  readonly points: readonly Vector[];
  /** Rising from 0; one for each point. */
  readonly shares: readonly number[];
  readonly length: number;
  /** Positive where it runs clockwise as seen. */
  readonly area: number;
  readonly middle: Vector;
}

/** A ring is compared at so many equal shares of its length. */
export const RING_SAMPLES = 96;

/** @param flat x and y of each point in turn, in the artwork's units; at least three points */
export function ringOf(flat: readonly number[], pivot: Vector): Ring {
  const points: Vector[] = [];
  for (let i = 0; i < flat.length; i += 2) points.push({ x: flat[i]! - pivot.x, y: flat[i + 1]! - pivot.y });
  const shares: number[] = [];
  let [length, doubleArea, sumX, sumY] = [0, 0, 0, 0];
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length]!;
    const side = Math.hypot(b.x - a.x, b.y - a.y);
    shares.push(length);
    length += side;
    doubleArea += a.x * b.y - b.x * a.y;
    sumX += (side * (a.x + b.x)) / 2;
    sumY += (side * (a.y + b.y)) / 2;
  });
  return {
    points,
    shares: shares.map((at) => (length > 0 ? at / length : 0)),
    length,
    area: doubleArea / 2,
    middle: length > 0 ? { x: sumX / length, y: sumY / length } : points[0]!,
  };
}

const wrapped = (share: number): number => share - Math.floor(share);

/** The point of a ring at a share of its length, counted round and round. */
export function pointOnRing({ points, shares }: Ring, share: number): Vector {
  const at = wrapped(share);
  let [low, high] = [0, shares.length - 1];
  while (low < high) {
    const half = (low + high + 1) >> 1;
    if (shares[half]! <= at) low = half;
    else high = half - 1;
  }
  const [a, b] = [points[low]!, points[(low + 1) % points.length]!];
  const [from, to] = [shares[low]!, shares[low + 1] ?? 1];
  const t = to > from ? (at - from) / (to - from) : 0;
  return { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
}

export interface OnRing {
  readonly share: number;
  readonly away: number;
}

export function nearestOnRing({ points, shares }: Ring, to: Vector): OnRing {
  let best: OnRing = { share: 0, away: Infinity };
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length]!;
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const square = dx * dx + dy * dy;
    const along = square > 0 ? ((to.x - a.x) * dx + (to.y - a.y) * dy) / square : 0;
    const t = Math.min(1, Math.max(0, along));
    const away = Math.hypot(a.x + t * dx - to.x, a.y + t * dy - to.y);
    if (away < best.away)
      best = { share: wrapped(shares[i]! + t * ((shares[i + 1] ?? 1) - shares[i]!)), away };
  });
  return best;
}

/**
 * By which share of its length the second of two rings has to be begun later, so that the sum of squared distances between
 * equal shares of both is least.
 */
export function bestStart(first: Ring, second: Ring): number {
  const samplesOf = (ring: Ring): Vector[] =>
    Array.from({ length: RING_SAMPLES }, (_, k) => pointOnRing(ring, k / RING_SAMPLES));
  const [from, to] = [samplesOf(first), samplesOf(second)];
  let [best, least] = [0, Infinity];
  for (let shift = 0; shift < RING_SAMPLES; shift++) {
    let sum = 0;
    for (let k = 0; k < RING_SAMPLES; k++) {
      const [a, b] = [from[k]!, to[(k + shift) % RING_SAMPLES]!];
      sum += (a.x - b.x) ** 2 + (a.y - b.y) ** 2;
    }
    if (sum < least) [best, least] = [shift, sum];
  }
  return best / RING_SAMPLES;
}

/** Rings further apart than this are no pair: their distance in sizes of the drawing, and the logarithm of their sizes. */
const MAX_APART = 1;

/**
 * The rings of two drawings that belong together: the largest of both, then the nearest by middle and size. A ring and a
 * hole are never a pair.
 * @param size of the drawings, in the artwork's units
 * @returns indices; null where a ring has no partner
 */
export function pairedRings(
  first: readonly Ring[],
  second: readonly Ring[],
  size: number,
): readonly (readonly [number | null, number | null])[] {
  const apart = (a: Ring, b: Ring): number =>
    Math.hypot(a.middle.x - b.middle.x, a.middle.y - b.middle.y) / size +
    Math.abs(Math.log(a.area / b.area)) / 2;
  const largest = (rings: readonly Ring[]): number =>
    rings.reduce((best, { area }, i) => (Math.abs(area) > Math.abs(rings[best]!.area) ? i : best), 0);
  const mains = [largest(first), largest(second)] as const;
  const candidates = first
    .flatMap((a, i) =>
      second.flatMap((b, j) => {
        if (Math.sign(a.area) !== Math.sign(b.area)) return [];
        const isMain = i === mains[0] && j === mains[1];
        const cost = isMain ? -1 : apart(a, b);
        return cost <= MAX_APART ? [{ i, j, cost }] : [];
      }),
    )
    .sort((a, b) => a.cost - b.cost);
  const [takenFirst, takenSecond] = [new Set<number>(), new Set<number>()];
  const pairs: (readonly [number | null, number | null])[] = [];
  for (const { i, j } of candidates) {
    if (takenFirst.has(i) || takenSecond.has(j)) continue;
    takenFirst.add(i);
    takenSecond.add(j);
    pairs.push([i, j]);
  }
  first.forEach((_, i) => {
    if (!takenFirst.has(i)) pairs.push([i, null]);
  });
  second.forEach((_, j) => {
    if (!takenSecond.has(j)) pairs.push([null, j]);
  });
  return pairs;
}
