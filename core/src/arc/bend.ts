import { outOfRange } from '../model/errors';
import type { Arc, ArcPoint } from '../model/schema';
import { withRounding } from './pointEdits';
import { segmentBetween, segmentEnds } from './segments';
import { add, scale, subtract, unit, type Vector, ZERO } from './vector';
import { hasSegment } from './wholeArc';

function endsOf(arc: Arc, segment: number): readonly [ArcPoint, ArcPoint] {
  if (!hasSegment(arc, segment)) throw outOfRange('There is no such segment.');
  return segmentEnds(arc, segment);
}

function withHandle(point: ArcPoint, side: 'in' | 'out', handle: Vector, keepsLine: boolean): ArcPoint {
  const next: ArcPoint = { ...point, shaping: null, [side]: handle };
  const other = side === 'in' ? 'out' : 'in';
  const far = point[other];
  const reach = Math.hypot(far.x, far.y);
  if (!keepsLine || point.kind === 'corner' || reach === 0)
    return { ...next, kind: point.kind === 'corner' || keepsLine ? point.kind : 'corner' };
  if (point.kind === 'even') return { ...next, [other]: scale(handle, -1) };
  const line = unit(handle);
  return line.x === 0 && line.y === 0 ? next : { ...next, [other]: scale(line, -reach) };
}

const changed = (arc: Arc, ...points: readonly ArcPoint[]): Arc =>
  withRounding({
    ...arc,
    shape: null,
    points: arc.points.map((point) => points.find(({ id }) => id === point.id) ?? point),
  });

/**
 * The arc with one segment pulled so that its place at parameter `t` comes to lie somewhere else. Both
 * controls move by shares of the pull: the nearer end's the more (Bernstein weights at t, squared, share
 * it out; the least change of the controls that does it). Ends and neighbours stay; no point is added.
 * @param t 0 to 1; very near an end it counts as a tenth away, so that a pull never takes off
 */
export function withSegmentPulled(arc: Arc, segment: number, t: number, to: Vector): Arc {
  const [from, until] = endsOf(arc, segment);
  const { control1, control2 } = segmentBetween(from, until);
  const at = Math.min(0.9, Math.max(0.1, t));
  const [b1, b2] = [3 * (1 - at) ** 2 * at, 3 * (1 - at) * at ** 2];
  const start = from;
  const point = add(
    add(scale(start, (1 - at) ** 3), scale(control1, b1)),
    add(scale(control2, b2), scale(until, at ** 3)),
  );
  const pull = scale(subtract(to, point), 1 / (b1 * b1 + b2 * b2));
  const out = subtract(add(control1, scale(pull, b1)), from);
  const into = subtract(add(control2, scale(pull, b2)), until);
  return changed(arc, withHandle(from, 'out', out, true), withHandle(until, 'in', into, true));
}

/** The arc with one segment made a straight line at steady parameter; its two points become corners if they must. */
export function withSegmentStraight(arc: Arc, segment: number): Arc {
  const [from, until] = endsOf(arc, segment);
  return changed(arc, withHandle(from, 'out', ZERO, false), withHandle(until, 'in', ZERO, false));
}
