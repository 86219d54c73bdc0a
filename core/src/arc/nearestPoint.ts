import type { Arc } from '../model/schema';
import {
  type ArcMeasure,
  distanceAtParameter,
  measureArc,
  pointAtDistance,
  segmentAtDistance,
} from './arcMeasure';
import { type CubicPolynomial, derivativeAt, pointAt, secondDerivativeAt } from './cubic';
import { distance, dot, type Vector } from './vector';

export interface NearestPoint {
  readonly segment: number;
  readonly t: number;
  /** Distance from the start of the arc, field units. */
  readonly s: number;
  readonly point: Vector;
  readonly away: number;
}

const SAMPLES_PER_PIECE = 4;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const REFINEMENTS = 30;
const NEWTON_STEPS = 4;

/** The parameter of least distance within a bracket, by golden-section search (Kiefer 1953), then Newton's. */
export function nearestParameter(curve: CubicPolynomial, to: Vector, from: number, until: number): number {
  const away = (t: number): number => {
    const p = pointAt(curve, t);
    return (p.x - to.x) ** 2 + (p.y - to.y) ** 2;
  };
  let low = from;
  let high = until;
  let a = high - GOLDEN * (high - low);
  let b = low + GOLDEN * (high - low);
  let awayA = away(a);
  let awayB = away(b);
  for (let i = 0; i < REFINEMENTS && high - low > 1e-9; i++) {
    if (awayA < awayB) {
      [high, b, awayB] = [b, a, awayA];
      a = high - GOLDEN * (high - low);
      awayA = away(a);
    } else {
      [low, a, awayA] = [a, b, awayB];
      b = low + GOLDEN * (high - low);
      awayB = away(b);
    }
  }
  let best = [low, (low + high) / 2, high, from, until].reduce((t, u) => (away(u) < away(t) ? u : t));
  for (let i = 0; i < NEWTON_STEPS; i++) {
    const p = pointAt(curve, best);
    const d = derivativeAt(curve, best);
    const dd = secondDerivativeAt(curve, best);
    const off = { x: p.x - to.x, y: p.y - to.y };
    const slope = dot(d, d) + dot(off, dd);
    const next = slope > 0 ? Math.min(until, Math.max(from, best - dot(off, d) / slope)) : best;
    if (!(away(next) < away(best))) break;
    best = next;
  }
  return best;
}

interface Bracket {
  readonly segment: number;
  readonly from: number;
  readonly until: number;
  readonly atLeast: number;
}

/** A piece of a bracket is hardly longer than its chord; this is the most it may be. */
const CHORD_TO_LENGTH = 1.3;

function cut(
  measure: ArcMeasure,
  segment: number,
  piece: number,
  window: readonly [number, number] | undefined,
): readonly [number, number] | null {
  const table = measure.segments[segment]!;
  const ends = [table.parameter[piece]!, table.parameter[piece + 1]!] as const;
  if (!window) return ends;
  const begin = measure.startDistance[segment]!;
  const from = begin + table.distance[piece]!;
  const until = begin + table.distance[piece + 1]!;
  const [least, most] = window;
  if (until < least || from > most) return null;
  const share = (s: number): number => ends[0] + ((ends[1] - ends[0]) * (s - from)) / (until - from);
  // Within one piece parameter and distance are near enough in proportion for the edge of a search.
  return [from < least ? share(least) : ends[0], until > most ? share(most) : ends[1]];
}

function brackets(
  measure: ArcMeasure,
  segment: number,
  to: Vector,
  window?: readonly [number, number],
): Bracket[] {
  const table = measure.segments[segment]!;
  const found: Bracket[] = [];
  for (let piece = 0; piece + 1 < table.parameter.length; piece++) {
    const ends = cut(measure, segment, piece, window);
    if (!ends) continue;
    const step = (ends[1] - ends[0]) / SAMPLES_PER_PIECE;
    for (let i = 0; i < SAMPLES_PER_PIECE; i++) {
      const from = ends[0] + i * step;
      const middle = pointAt(table.curve, from + step / 2);
      const reach = Math.max(
        distance(middle, pointAt(table.curve, from)),
        distance(middle, pointAt(table.curve, from + step)),
      );
      const atLeast = distance(middle, to) - reach * CHORD_TO_LENGTH;
      found.push({ segment, from, until: from + step, atLeast });
    }
  }
  return found.sort((a, b) => a.atLeast - b.atLeast);
}

function nearerOnSegment(
  measure: ArcMeasure,
  segment: number,
  to: Vector,
  window: readonly [number, number] | undefined,
  best: NearestPoint | null,
): NearestPoint | null {
  let nearest = best;
  const { curve } = measure.segments[segment]!;
  for (const { from, until, atLeast } of brackets(measure, segment, to, window)) {
    if (nearest && atLeast >= nearest.away) break;
    const t = nearestParameter(curve, to, from, until);
    const point = pointAt(curve, t);
    const away = distance(point, to);
    if (!nearest || away < nearest.away)
      nearest = { segment, t, s: distanceAtParameter(measure, segment, t), point, away };
  }
  return nearest;
}

/** What is left of a distance after rounding, so that a segment is rather looked at than left out. */
const ROUNDING = 1e-9;

/**
 * The place of an arc nearest to a point of the field. An arc comes nearer by no more than its own length: a
 * segment whose ends are too far away for that is passed over, and so is what follows it for as long as it
 * cannot have come near. A long arc then costs little more than the part that is near.
 * @param window distances (field units) between which to look, so that a drag along the arc does not
 *   jump across a crossing
 * @returns null for an arc without length, or when the window holds none of it
 */
export function nearestPoint(
  arc: Arc,
  to: Vector,
  window?: readonly [from: number, until: number],
): NearestPoint | null {
  const measure = measureArc(arc);
  const { length, segments, startDistance } = measure;
  if (length === 0) return null;
  const [from, until] = window ?? [0, length];
  const middle = Math.min(length, Math.max(0, (from + until) / 2));
  // Nothing further away than a place that is surely within the window can be the nearest.
  const known = distance(pointAtDistance(arc, middle), to) * (1 + ROUNDING) + length * ROUNDING;
  let best: NearestPoint | null = null;
  let index = segmentAtDistance(measure, from);
  while (index < segments.length && startDistance[index]! <= until) {
    const table = segments[index]!;
    const begins = distance(pointAt(table.curve, 0), to);
    const ends = distance(pointAt(table.curve, 1), to);
    const nearEnough = Math.min(known, best?.away ?? Infinity);
    if ((begins + ends - table.length) / 2 <= nearEnough * (1 + ROUNDING))
      best = nearerOnSegment(measure, index, to, window, best);
    const ahead = ends - Math.min(known, best?.away ?? Infinity) - length * ROUNDING;
    index =
      ahead > 0
        ? Math.max(index + 1, segmentAtDistance(measure, startDistance[index + 1]! + ahead))
        : index + 1;
  }
  return best;
}

/**
 * The place nearest to a point of the field about a distance on the arc. Round a closed arc the search goes
 * on across the seam, and the distance is counted on the lap that lies nearest to where it began.
 * @param about distance from the start, field units; any lap of a closed arc
 * @param reach how far to look to both sides, field units
 */
export function nearestAbout(arc: Arc, to: Vector, about: number, reach: number): NearestPoint | null {
  const { length, closed } = measureArc(arc);
  const lap = closed && length > 0 ? Math.floor(about / length) * length : 0;
  const s = about - lap;
  let best: NearestPoint | null = null;
  for (const shift of closed ? [0, -length, length] : [0]) {
    const [from, until] = [s - reach - shift, s + reach - shift];
    if (until < 0 || from > length) continue;
    const found = nearestPoint(arc, to, [from, until]);
    if (found && (!best || found.away < best.away)) best = { ...found, s: lap + found.s + shift };
  }
  return best;
}
