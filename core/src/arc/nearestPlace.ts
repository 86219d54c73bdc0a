import type { Arc } from '../shot/schema';
import { type ArcMeasure, distanceAtParameter, measureArc } from './arcMeasure';
import { type CubicPolynomial, pointAt } from './cubic';
import type { Vector } from './vector';

/** The nearest place of an arc to somewhere in the field. */
export interface NearestPlace {
  readonly stretch: number;
  readonly t: number;
  /** Distance from the start of the arc, field units. */
  readonly s: number;
  readonly point: Vector;
  /** How far away it is, field units. */
  readonly away: number;
}

const SAMPLES_PER_PIECE = 4;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
const REFINEMENTS = 48;

/** The parameter of least distance within a bracket, by golden-section search (Kiefer 1953). */
function refine(curve: CubicPolynomial, to: Vector, from: number, until: number): number {
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
  for (let i = 0; i < REFINEMENTS && high - low > 1e-12; i++) {
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
  const ends = [low, (low + high) / 2, high, from, until];
  return ends.reduce((best, t) => (away(t) < away(best) ? t : best));
}

/** Candidates: each sample of the arc that is nearer than its neighbours, with the bracket around it. */
function brackets(measure: ArcMeasure, to: Vector, isAllowed: (s: number) => boolean) {
  const found: { stretch: number; from: number; until: number; away: number }[] = [];
  measure.stretches.forEach((table, stretch) => {
    for (let piece = 0; piece + 1 < table.parameter.length; piece++) {
      const t0 = table.parameter[piece]!;
      const step = (table.parameter[piece + 1]! - t0) / SAMPLES_PER_PIECE;
      for (let i = 0; i < SAMPLES_PER_PIECE; i++) {
        const from = t0 + i * step;
        const middle = pointAt(table.curve, from + step / 2);
        if (!isAllowed(distanceAtParameter(measure, stretch, from + step / 2))) continue;
        const away = Math.hypot(middle.x - to.x, middle.y - to.y);
        found.push({ stretch, from, until: from + step, away });
      }
    }
  });
  found.sort((a, b) => a.away - b.away);
  return found.slice(0, 6);
}

/**
 * The place of an arc nearest to a point of the field.
 * @param window distances (field units) between which to look, so that a drag along the arc does not
 *   jump across a crossing
 * @returns null for an arc without length, or when the window holds none of it
 */
export function nearestPlace(
  arc: Arc,
  to: Vector,
  window?: readonly [from: number, until: number],
): NearestPlace | null {
  const measure = measureArc(arc);
  const isAllowed = (s: number): boolean => !window || (s >= window[0] && s <= window[1]);
  let best: NearestPlace | null = null;
  for (const { stretch, from, until } of brackets(measure, to, isAllowed)) {
    const curve = measure.stretches[stretch]!.curve;
    const t = refine(curve, to, from, until);
    const point = pointAt(curve, t);
    const away = Math.hypot(point.x - to.x, point.y - to.y);
    if (!best || away < best.away)
      best = { stretch, t, s: distanceAtParameter(measure, stretch, t), point, away };
  }
  return best;
}
