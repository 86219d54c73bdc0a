import type { Arc, ArcPoint } from '../model/schema';
import { curvatureAt, travelDirectionDeg } from './cubic';
import { isStraight, segmentBetween, segmentCount, segmentEnds } from './segments';
import { COEFFICIENTS, gaussLength, measureLine, measureSegment, type SegmentTable } from './segmentTable';
import { wrapDeg } from './vector';

export interface ArcMeasure {
  /** Length of the arc (of one lap when it is closed), field units. */
  readonly length: number;
  readonly closed: boolean;
  readonly segments: readonly SegmentTable[];
  /** Distance from the start of the arc at which each segment begins; one more entry ends the last. */
  readonly startDistance: Float64Array;
  /** What to add to the heading of each segment's table to unwrap it along the whole arc, degrees. */
  readonly headingOffsetDeg: Float64Array;
  /** Heading gained by one lap of a closed arc, degrees; 0 when it is open. */
  readonly turnPerLapDeg: number;
}

export interface PointOnArc {
  readonly x: number;
  readonly y: number;
  readonly headingDeg: number;
  readonly segment: number;
  readonly t: number;
}

export type PointBuffer = { -readonly [K in keyof PointOnArc]: PointOnArc[K] };

// Points are immutable, so a segment between the same two points is measured once and for all:
// moving one point of a long arc measures two segments, not fifty.
const segmentTables = new WeakMap<ArcPoint, WeakMap<ArcPoint, SegmentTable>>();
const arcMeasures = new WeakMap<Arc, ArcMeasure>();

function measureBetween(from: ArcPoint, to: ArcPoint): SegmentTable {
  const segment = segmentBetween(from, to);
  return isStraight(from, to) ? measureLine(segment) : measureSegment(segment);
}

function segmentTable(from: ArcPoint, to: ArcPoint): SegmentTable {
  let tables = segmentTables.get(from);
  if (!tables) segmentTables.set(from, (tables = new WeakMap()));
  let table = tables.get(to);
  if (!table) tables.set(to, (table = measureBetween(from, to)));
  return table;
}

/**
 * Measures the segments of an open arc one by one, for a long one that must not hold anything up: once this is
 * through, an arc of the same points is measured at no cost.
 */
export function* measuredOneByOne(points: readonly ArcPoint[]): Generator<void> {
  for (let i = 1; i < points.length; i++) {
    segmentTable(points[i - 1]!, points[i]!);
    yield;
  }
}

const lastHeading = (table: SegmentTable): number => table.headingDeg[table.headingDeg.length - 1] ?? 0;

export function measureArc(arc: Arc): ArcMeasure {
  const known = arcMeasures.get(arc);
  if (known) return known;
  const count = segmentCount(arc);
  const segments = Array.from({ length: count }, (_, i) => segmentTable(...segmentEnds(arc, i)));
  const startDistance = new Float64Array(count + 1);
  const headingOffsetDeg = new Float64Array(count);
  let heading: number | null = null;
  let firstHeading = 0;
  segments.forEach((table, i) => {
    startDistance[i + 1] = startDistance[i]! + table.length;
    if (table.length === 0) return;
    const own = table.headingDeg[0]!;
    if (heading === null) firstHeading = heading = own;
    headingOffsetDeg[i] = heading + wrapDeg(own - heading) - own;
    heading = headingOffsetDeg[i]! + lastHeading(table);
  });
  const end = heading ?? 0;
  const measure: ArcMeasure = {
    length: startDistance[count]!,
    closed: arc.closed,
    segments,
    startDistance,
    headingOffsetDeg,
    turnPerLapDeg: arc.closed ? end + wrapDeg(firstHeading - end) - firstHeading : 0,
  };
  arcMeasures.set(arc, measure);
  return measure;
}

function lastNotAbove(sorted: Float64Array, value: number, last: number): number {
  let low = 0;
  let high = last;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (sorted[middle]! <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}

export const segmentAtDistance = ({ startDistance, segments }: ArcMeasure, s: number): number =>
  lastNotAbove(startDistance, s, segments.length - 1);

/**
 * Writes the place at distance `s` from the start of the arc into `place`.
 * @param s field units; an open arc is clamped to its ends, a closed one counts laps, and headings
 *   keep turning over laps
 * @param alone the place of an arc that has no length
 * @param side which direction to give exactly at a corner: of the travel that leaves or arrives
 */
export function writePoint(
  measure: ArcMeasure,
  s: number,
  alone: ArcPoint | undefined,
  point: PointBuffer,
  side: 'leaving' | 'arriving' = 'leaving',
): void {
  const { length, segments, startDistance } = measure;
  if (length === 0) {
    point.x = alone?.x ?? 0;
    point.y = alone?.y ?? 0;
    point.headingDeg = 0;
    point.segment = 0;
    point.t = 0;
    return;
  }
  let lap = 0;
  let rest = s;
  if (measure.closed) {
    lap = Math.floor(s / length);
    if (side === 'arriving' && s > 0 && lap * length === s) lap -= 1;
    rest = s - lap * length;
  }
  rest = Math.min(Math.max(rest, 0), length);
  // What is asked for goes on along the arc as a rule: mostly it is on the segment of the last place.
  const last = point.segment;
  const isOnLast = startDistance[last]! <= rest && rest < startDistance[last + 1]!;
  let index = isOnLast ? last : lastNotAbove(startDistance, rest, segments.length - 1);
  if (side === 'arriving')
    while (index > 0 && (rest <= startDistance[index]! || segments[index]!.length === 0)) index--;
  while (index > 0 && segments[index]!.length === 0) index--;
  while (segments[index]!.length === 0) index++;
  const table = segments[index]!;
  const local = Math.min(rest - startDistance[index]!, table.length);
  const knots = table.distance;
  const piece = lastNotAbove(knots, local, knots.length - 2);
  const from = knots[piece]!;
  const w = (local - from) / (knots[piece + 1]! - from);
  const c = table.inverse;
  const k = piece * COEFFICIENTS;
  const raw = ((((c[k + 5]! * w + c[k + 4]!) * w + c[k + 3]!) * w + c[k + 2]!) * w + c[k + 1]!) * w + c[k]!;
  const t = Math.min(Math.max(raw, table.parameter[piece]!), table.parameter[piece + 1]!);
  const p = table.curve;
  point.x = ((p.ax * t + p.bx) * t + p.cx) * t + p.dx;
  point.y = ((p.ay * t + p.by) * t + p.cy) * t + p.dy;
  point.segment = index;
  point.t = t;
  const near = table.headingDeg[piece]!;
  point.headingDeg =
    near +
    wrapDeg(travelDirectionDeg(p, t, table.size, t >= 1 ? 'arriving' : 'leaving') - near) +
    measure.headingOffsetDeg[index]! +
    lap * measure.turnPerLapDeg;
}

export const pointBuffer = (): PointBuffer => ({ x: 0, y: 0, headingDeg: 0, segment: 0, t: 0 });

/**
 * The place at a distance along an arc.
 * @param s field units from the start; clamped on an open arc, counted in laps on a closed one
 * @returns right to 1e-7 of the length; never NaN
 */
export function pointAtDistance(arc: Arc, s: number, side: 'leaving' | 'arriving' = 'leaving'): PointOnArc {
  const point = pointBuffer();
  writePoint(measureArc(arc), s, arc.points[0], point, side);
  return point;
}

/** Length of an arc in field units, relative error at most 1e-9; one lap of a closed arc. */
export const arcLength = (arc: Arc): number => measureArc(arc).length;

/** Signed curvature at a distance along an arc, 1 / field units, positive turning clockwise as seen. */
export function curvatureAtDistance(arc: Arc, s: number): number {
  const table = measureArc(arc).segments;
  const point = pointAtDistance(arc, s);
  const segment = table[point.segment];
  return segment ? curvatureAt(segment.curve, point.t) : 0;
}

/** Distance from the start of the arc to parameter `t` of one of its segments, field units. */
export function distanceAtParameter(measure: ArcMeasure, segment: number, t: number): number {
  const table = measure.segments[segment];
  if (!table) return 0;
  const piece = lastNotAbove(table.parameter, t, Math.max(0, table.parameter.length - 2));
  const rest = gaussLength(table.curve, table.parameter[piece]!, t);
  return measure.startDistance[segment]! + Math.min(table.distance[piece]! + rest, table.length);
}
