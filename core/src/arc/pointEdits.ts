import { ShotError, outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import type { Arc, ArcPoint, PointKind, Shaping } from '../model/schema';
import { measureArc } from './arcMeasure';
import { pointAt, split } from './cubic';
import { fitCubic } from './fitCubic';
import { withKind, withShapedHandles } from './smoothing';
import { isStraight, segmentBetween, segmentCount, segmentEnds } from './segments';
import { add, scale, subtract, unit, type Vector, ZERO } from './vector';

/** How closely the two segments beside a deleted point are looked at to fit the one that replaces them. */
const REFIT_SAMPLES = 24;

const replacePoint = (arc: Arc, id: string, change: (point: ArcPoint) => ArcPoint): Arc => ({
  ...arc,
  points: arc.points.map((point) => (point.id === id ? change(point) : point)),
});

function indexOfPoint(arc: Arc, pointId: string): number {
  const index = arc.points.findIndex((point) => point.id === pointId);
  if (index < 0) throw new ShotError('unknown-id', `The arc has no point ${pointId}.`);
  return index;
}

export const withRounding = (arc: Arc): Arc => {
  const points = withShapedHandles(arc.points, arc.closed);
  return points === arc.points ? arc : { ...arc, points };
};

const byHand = (arc: Arc): Arc => (arc.shape ? { ...arc, shape: null } : arc);

export const withPointAt = (arc: Arc, pointId: string, { x, y }: Vector): Arc =>
  withRounding(byHand(replacePoint(arc, pointId, (point) => ({ ...point, x, y }))));

export function withPointsMoved(arc: Arc, pointIds: readonly string[], by: Vector): Arc {
  const chosen = new Set(pointIds);
  return withRounding({
    ...byHand(arc),
    points: arc.points.map((point) =>
      chosen.has(point.id) ? { ...point, x: point.x + by.x, y: point.y + by.y } : point,
    ),
  });
}

/**
 * The arc with the end of a handle put somewhere in the field. On a smooth point the other handle turns
 * to stay in line and keeps its length; on an even one it mirrors.
 */
export function withHandleAt(arc: Arc, pointId: string, side: 'in' | 'out', to: Vector): Arc {
  const moved = replacePoint(arc, pointId, (before) => {
    const point: ArcPoint = { ...before, shaping: null };
    const handle = subtract(to, point);
    const other = side === 'in' ? 'out' : 'in';
    if (point.kind === 'corner') return { ...point, [side]: handle };
    if (point.kind === 'even') return { ...point, [side]: handle, [other]: scale(handle, -1) };
    const length = Math.hypot(point[other].x, point[other].y);
    const line = unit(handle);
    const turned = line.x === 0 && line.y === 0 ? point[other] : scale(line, -length);
    return { ...point, [side]: handle, [other]: turned };
  });
  return withRounding(byHand(moved));
}

export function withPointsOfKind(arc: Arc, pointIds: readonly string[], kind: PointKind): Arc {
  const chosen = new Set(pointIds);
  const count = arc.points.length;
  const neighbour = (i: number): ArcPoint | undefined =>
    arc.closed ? arc.points[(i + count) % count] : arc.points[i];
  return withRounding({
    ...byHand(arc),
    points: arc.points.map((point, i) =>
      chosen.has(point.id) ? withKind(point, kind, neighbour(i - 1), neighbour(i + 1)) : point,
    ),
  });
}

export function withPointsShaped(arc: Arc, pointIds: readonly string[], shaping: Shaping): Arc {
  const chosen = new Set(pointIds);
  return withRounding({
    ...byHand(arc),
    points: arc.points.map((point) =>
      chosen.has(point.id) ? { ...point, kind: shaping.sharpen === 0 ? 'smooth' : 'corner', shaping } : point,
    ),
  });
}

/** A point with one handle of another length: it is shaped by hand now, and even no more. */
const withOneHandle = (point: ArcPoint, side: 'in' | 'out', handle: Vector): ArcPoint => ({
  ...point,
  [side]: handle,
  kind: point.kind === 'even' ? 'smooth' : point.kind,
  shaping: null,
});

export const nextPointId = (arc: Arc): string => freshId('p', arc.points);

/**
 * The arc with a further point on segment `segment` at parameter `t`. Its shape stays the same, so
 * every distance along it does too.
 */
export function withPointInserted(arc: Arc, segment: number, t: number): Arc {
  if (!Number.isInteger(segment) || segment < 0 || segment >= segmentCount(arc) || !(t >= 0 && t <= 1))
    throw outOfRange('There is no such place on the arc.');
  const [from, to] = segmentEnds(arc, segment);
  const straight = isStraight(from, to);
  const [before, after] = split(segmentBetween(from, to), t);
  const middle: ArcPoint = {
    id: nextPointId(arc),
    x: before.end.x,
    y: before.end.y,
    in: straight ? ZERO : subtract(before.control2, before.end),
    out: straight ? ZERO : subtract(after.control1, after.start),
    kind: 'smooth',
    shaping: null,
  };
  const points = arc.points.map((point) => {
    if (straight) return point;
    let next = point;
    if (point.id === from.id) next = withOneHandle(next, 'out', subtract(before.control1, from));
    if (point.id === to.id) next = withOneHandle(next, 'in', subtract(after.control2, to));
    return next;
  });
  return { ...byHand(arc), points: [...points.slice(0, segment + 1), middle, ...points.slice(segment + 1)] };
}

function samplesBeside(arc: Arc, index: number): Vector[] {
  const { segments } = measureArc(arc);
  const count = arc.points.length;
  const beside = [(index - 1 + count) % count, index].map((i) => segments[i]!.curve);
  return beside.flatMap((curve, part) =>
    Array.from({ length: REFIT_SAMPLES + (part === 1 ? 1 : 0) }, (_, i) => pointAt(curve, i / REFIT_SAMPLES)),
  );
}

/**
 * The arc without a point. The segment that replaces its two keeps the directions at its ends and
 * lies as near to the old shape as one cubic can.
 * @throws ShotError `arc-needs-two-points`
 */
export function withoutPoint(arc: Arc, pointId: string): Arc {
  const index = indexOfPoint(arc, pointId);
  const count = arc.points.length;
  if (count <= 2) throw new ShotError('arc-needs-two-points', 'An arc needs at least two points.');
  const rest = arc.points.filter((point) => point.id !== pointId);
  const isEnd = index === 0 || index === count - 1;
  if (isEnd && !arc.closed) return withRounding({ ...byHand(arc), points: rest });
  const before = arc.points[(index - 1 + count) % count]!;
  const after = arc.points[(index + 1) % count]!;
  const middle = arc.points[index]!;
  if (isStraight(before, middle) && isStraight(middle, after)) return { ...byHand(arc), points: rest };
  if (before.shaping && middle.shaping && after.shaping)
    return withRounding({ ...byHand(arc), points: rest });
  const directionOf = (handle: Vector, otherwise: Vector): Vector =>
    handle.x === 0 && handle.y === 0 ? unit(otherwise) : unit(handle);
  const { cubic } = fitCubic(
    samplesBeside(arc, index),
    directionOf(before.out, subtract(add(middle, middle.in), before)),
    directionOf(after.in, subtract(add(middle, middle.out), after)),
  );
  return {
    ...byHand(arc),
    points: rest.map((point) => {
      let next = point;
      if (point.id === before.id) next = withOneHandle(next, 'out', subtract(cubic.control1, before));
      if (point.id === after.id) next = withOneHandle(next, 'in', subtract(cubic.control2, after));
      return next;
    }),
  };
}

/** The arc without several points, one after the other. @throws ShotError `arc-needs-two-points` */
export const withoutPoints = (arc: Arc, pointIds: readonly string[]): Arc =>
  pointIds.reduce(withoutPoint, arc);
