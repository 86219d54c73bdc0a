import { outOfRange } from '../model/errors';
import type { Arc, ArcPoint } from '../model/schema';
import { measureArc, pointAtDistance } from './arcMeasure';
import { withPointInserted, withRounding } from './pointEdits';
import { reversedPoints, shapePoints, transformedShape } from './readyShapes';
import type { PointShape } from './smoothing';
import { segmentCount } from './segments';
import { applyTo, type Transform, applyLinear } from './transform';
import { distance, type Vector, ZERO } from './vector';

const KEYS_OF_POINT = 7;

/**
 * A point of an arc under an id; whatever else came with its shape is left behind. A point that is one already
 * stays the same object, so that what was measured of it stays known.
 */
export function withId(point: PointShape & { readonly id?: string }, id: string): ArcPoint {
  const { x, y, in: into, out, kind, shaping = null } = point;
  const isReady =
    point.id === id && point.shaping !== undefined && Object.keys(point).length === KEYS_OF_POINT;
  return isReady ? (point as ArcPoint) : { id, x, y, in: into, out, kind, shaping };
}

export const withIds = (points: readonly PointShape[]): Arc['points'] =>
  points.map((point, i) => withId(point, `p${i + 1}`));

export function withShape(arc: Arc, shape: NonNullable<Arc['shape']>): Arc {
  const { points, closed } = shapePoints(shape);
  return { ...arc, closed, shape, points: withIds(points) };
}

/** The arc the other way round: what was its end is its start. A closed arc keeps its first point. */
export function reversedArc(arc: Arc): Arc {
  return {
    ...arc,
    points: reversedPoints(arc.points, arc.closed),
    shape: arc.shape && { ...arc.shape, reversed: !arc.shape.reversed },
  };
}

/** Ends nearer than this share of the arc's length are taken to be the same place. */
const SAME_PLACE = 1e-3;

export function closedArc(arc: Arc): Arc {
  if (arc.closed) return arc;
  const first = arc.points[0]!;
  const last = arc.points[arc.points.length - 1]!;
  const meet = distance(first, last) <= SAME_PLACE * measureArc(arc).length && arc.points.length > 2;
  if (!meet) return withRounding({ ...arc, closed: true, shape: null });
  const seam: ArcPoint = { ...first, in: last.in, kind: 'corner', shaping: null };
  return withRounding({ ...arc, closed: true, shape: null, points: [seam, ...arc.points.slice(1, -1)] });
}

export function openedArc(arc: Arc, pointId = arc.points[0]!.id): Arc {
  if (!arc.closed) return arc;
  const index = Math.max(
    0,
    arc.points.findIndex(({ id }) => id === pointId),
  );
  const turned = [...arc.points.slice(index), ...arc.points.slice(0, index)];
  const start = turned[0]!;
  const taken = new Set(arc.points.map(({ id }) => id));
  let number = arc.points.length + 1;
  while (taken.has(`p${number}`)) number++;
  const ends: [ArcPoint, ArcPoint] = [
    { ...start, shaping: null },
    { ...start, id: `p${number}`, shaping: null },
  ];
  return { ...arc, closed: false, shape: null, points: [ends[0], ...turned.slice(1), ends[1]] };
}

export function startedAt(arc: Arc, pointId: string): Arc {
  const index = arc.points.findIndex(({ id }) => id === pointId);
  if (!arc.closed || index <= 0) return arc;
  return { ...arc, shape: null, points: [...arc.points.slice(index), ...arc.points.slice(0, index)] };
}

export function transformedArc(arc: Arc, transform: Transform): Arc {
  const shape = arc.shape && transformedShape(arc.shape, transform);
  return { ...arc, shape, points: arc.points.map((point) => transformedPoint(point, transform)) };
}

export const transformedPoint = <P extends PointShape>(point: P, transform: Transform): P => ({
  ...point,
  ...applyTo(transform, point),
  in: applyLinear(transform, point.in),
  out: applyLinear(transform, point.out),
});

export function withPointsTransformed(arc: Arc, pointIds: readonly string[], transform: Transform): Arc {
  const chosen = new Set(pointIds);
  if (arc.points.every(({ id }) => chosen.has(id))) return transformedArc(arc, transform);
  return withRounding({
    ...arc,
    shape: null,
    points: arc.points.map((point) => (chosen.has(point.id) ? transformedPoint(point, transform) : point)),
  });
}

export interface ArcWithPoint {
  readonly arc: Arc;
  readonly index: number;
}

/** A place this near to a point, as a share of the length, is that point. */
const AT_POINT = 1e-9;

/** The arc with a point at a distance from its start; its shape stays. @param s field units, 0 to the length */
export function withPointAtDistance(arc: Arc, s: number): ArcWithPoint {
  const { startDistance, length } = measureArc(arc);
  const near = arc.points.findIndex(
    (_, i) => Math.abs((startDistance[i] ?? Infinity) - s) <= AT_POINT * length,
  );
  if (near >= 0) return { arc, index: near };
  if (!arc.closed && Math.abs(s - length) <= AT_POINT * length) return { arc, index: arc.points.length - 1 };
  const { segment, t } = pointAtDistance(arc, s);
  return { arc: withPointInserted(arc, segment, t), index: segment + 1 };
}

/** An open arc cut in two at a distance from its start. @throws ShotError when nothing is left on a side */
export function cutArc(arc: Arc, s: number): readonly [readonly PointShape[], readonly PointShape[]] {
  if (arc.closed) throw outOfRange('A closed arc is opened, not cut in two.');
  const { arc: pointed, index } = withPointAtDistance(arc, s);
  if (index === 0 || index === pointed.points.length - 1)
    throw outOfRange('There is nothing to cut off at the end.');
  const still = (point: ArcPoint): PointShape => ({ ...point, shaping: null });
  return [
    pointed.points.slice(0, index + 1).map((point, i) => (i === index ? still(point) : point)),
    pointed.points.slice(index).map((point, i) => (i === 0 ? still(point) : point)),
  ];
}

/** Which end of one arc is joined to which end of another so that they are nearest. */
function nearestEnds(a: Arc, b: Arc): { reverseA: boolean; reverseB: boolean } {
  const ends = (arc: Arc): readonly [Vector, Vector] => [arc.points[0]!, arc.points[arc.points.length - 1]!];
  const [a0, a1] = ends(a);
  const [b0, b1] = ends(b);
  const candidates = [
    { away: distance(a1, b0), reverseA: false, reverseB: false },
    { away: distance(a1, b1), reverseA: false, reverseB: true },
    { away: distance(a0, b0), reverseA: true, reverseB: false },
    { away: distance(a0, b1), reverseA: true, reverseB: true },
  ];
  return candidates.reduce((best, candidate) => (candidate.away < best.away ? candidate : best));
}

export interface JoinedArcs {
  readonly points: readonly PointShape[];
  readonly reverseA: boolean;
  readonly reverseB: boolean;
}

/**
 * Two open arcs as one: the nearest ends are joined, by one point when they meet, else by one more
 * straight segment. The first arc's start stays the start where that is as near.
 * @throws ShotError when one of them is closed
 */
export function joinedArcs(a: Arc, b: Arc): JoinedArcs {
  if (a.closed || b.closed) throw outOfRange('Only open arcs can be joined.');
  const { reverseA, reverseB } = nearestEnds(a, b);
  const before = reverseA ? reversedPoints(a.points, false) : a.points;
  const after = reverseB ? reversedPoints(b.points, false) : b.points;
  const end = before[before.length - 1]!;
  const start = after[0]!;
  const still = (point: ArcPoint): PointShape => ({ ...point, shaping: null });
  const corner = (point: ArcPoint, side: 'in' | 'out'): PointShape => ({
    ...still(point),
    [side]: ZERO,
    kind: 'corner',
  });
  const size = measureArc(a).length + measureArc(b).length;
  const meet = distance(end, start) <= SAME_PLACE * size;
  const joint: readonly PointShape[] = meet
    ? [{ ...still(end), out: start.out, kind: 'corner' }]
    : [corner(end, 'out'), corner(start, 'in')];
  return {
    points: [...before.slice(0, -1).map(still), ...joint, ...after.slice(1).map(still)],
    reverseA,
    reverseB,
  };
}

export const hasSegment = (arc: Arc, segment: number): boolean =>
  Number.isInteger(segment) && segment >= 0 && segment < segmentCount(arc);
