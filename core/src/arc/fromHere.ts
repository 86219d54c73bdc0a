import { outOfRange } from '../model/errors';
import type { Arc, ArcPoint } from '../model/schema';
import { transformedPoint, withPointAtDistance } from './wholeArc';
import { rotationAbout } from './transform';
import { add, type Vector, ZERO } from './vector';

/** Which part of an arc is meant: what comes after a place, or what comes before it. */
export type ArcSide = 'from-here' | 'up-to-here';

function withPointHere(arc: Arc, s: number): { arc: Arc; index: number } {
  if (arc.closed) throw outOfRange('A closed arc has no start or end: open it first.');
  return withPointAtDistance(arc, s);
}

const isRest = (rest: ArcSide, i: number, here: number): boolean =>
  rest === 'from-here' ? i > here : i < here;

/**
 * The arc with the rest turned about a place. All lengths stay, so every gap does.
 * @param s the place, field units from the start
 * @param deg clockwise as seen
 */
export function withRestTurned(arc: Arc, s: number, rest: ArcSide, deg: number): Arc {
  const { arc: whole, index } = withPointHere(arc, s);
  const here = whole.points[index]!;
  const turn = rotationAbout(here, deg);
  const side = rest === 'from-here' ? 'out' : 'in';
  return {
    ...whole,
    shape: null,
    points: whole.points.map((point, i): ArcPoint => {
      const still = { ...point, shaping: null };
      if (i === index)
        return {
          ...still,
          [side]: transformedPoint(point, turn)[side],
          kind: deg % 360 === 0 ? point.kind : 'corner',
        };
      return isRest(rest, i, index) ? transformedPoint(still, turn) : point.shaping ? still : point;
    }),
  };
}

/**
 * The arc with the rest shifted. A straight segment joins it to the place; lengths on both sides stay.
 * @param s the place, field units from the start
 */
export function withRestShifted(arc: Arc, s: number, rest: ArcSide, by: Vector): Arc {
  const { arc: whole, index } = withPointHere(arc, s);
  if (by.x === 0 && by.y === 0) return whole;
  const here = whole.points[index]!;
  const numbers = whole.points.map(({ id }) => Number(id.slice(1))).filter(Number.isSafeInteger);
  const copyId = `p${Math.max(0, ...numbers) + 1}`;
  const before: ArcPoint = { ...here, out: ZERO, kind: 'corner', shaping: null };
  const after: ArcPoint = { ...here, in: ZERO, kind: 'corner', shaping: null };
  const shifted = (point: ArcPoint): ArcPoint => ({ ...point, ...add(point, by), shaping: null });
  const still = (point: ArcPoint): ArcPoint => (point.shaping ? { ...point, shaping: null } : point);
  const head = whole.points.slice(0, index);
  const tail = whole.points.slice(index + 1);
  const points =
    rest === 'from-here'
      ? [...head.map(still), before, { ...shifted(after), id: copyId }, ...tail.map(shifted)]
      : [...head.map(shifted), { ...shifted(before), id: copyId }, after, ...tail.map(still)];
  return { ...whole, shape: null, points };
}
