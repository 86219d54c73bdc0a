import type { PointKind, Shaping } from '../model/schema';
import { add, distance, dot, scale, subtract, unit, type Vector, ZERO } from './vector';

export interface PointShape {
  readonly x: number;
  readonly y: number;
  readonly in: Vector;
  readonly out: Vector;
  readonly kind: PointKind;
  readonly shaping?: Shaping | null;
}

export const PLAIN: Shaping = { tighten: 0, sharpen: 0, lean: 0 };

export const handlePoint = (point: PointShape, side: 'in' | 'out'): Vector => add(point, point[side]);

interface Handles {
  readonly in: Vector;
  readonly out: Vector;
}

/**
 * Handles of a point between two neighbours: tangents with tension, continuity and bias, their lengths
 * adjusted to how far the neighbours are (Kochanek and Bartels, "Interpolating splines with local
 * tension, continuity, and bias control", SIGGRAPH 1984). `sharpen` is their continuity turned round.
 */
function handlesBetween(before: Vector, at: Vector, after: Vector, shaping: Shaping): Handles {
  const { tighten: t, sharpen, lean: b } = shaping;
  const c = -sharpen;
  const back = subtract(at, before);
  const ahead = subtract(after, at);
  const lengthBack = distance(before, at);
  const lengthAhead = distance(at, after);
  const both = lengthBack + lengthAhead;
  if (both === 0) return { in: ZERO, out: ZERO };
  const tangent = (ofBack: number, ofAhead: number): Vector =>
    scale(add(scale(back, ofBack), scale(ahead, ofAhead)), (1 - t) / 2);
  const arriving = tangent((1 - c) * (1 + b), (1 + c) * (1 - b));
  const leaving = tangent((1 + c) * (1 + b), (1 - c) * (1 - b));
  return {
    in: scale(arriving, (-2 * lengthBack) / (3 * both)),
    out: scale(leaving, (2 * lengthAhead) / (3 * both)),
  };
}

/** The handle of an open end: as if the segment were a parabola that ends in the neighbour's handle. */
const endHandle = (end: Vector, neighbour: Vector, neighboursHandle: Vector, tighten: number): Vector =>
  scale(add(scale(subtract(neighbour, end), 2 / 3), neighboursHandle), 1 - tighten);

/**
 * The points with the handles of every shaped one worked out anew from its neighbours. Points that were
 * shaped by hand stay as they are, and so do points whose handles come out the same.
 */
export function withShapedHandles<P extends PointShape>(points: readonly P[], closed: boolean): readonly P[] {
  const count = points.length;
  if (count < 2 || !points.some(({ shaping }) => shaping)) return points;
  const handles: Handles[] = points.map((point) => ({ in: point.in, out: point.out }));
  const isEnd = (i: number): boolean => !closed && (i === 0 || i === count - 1);
  points.forEach((point, i) => {
    if (point.shaping && !isEnd(i))
      handles[i] = handlesBetween(
        points[(i - 1 + count) % count]!,
        point,
        points[(i + 1) % count]!,
        point.shaping,
      );
  });
  if (!closed) {
    const [first, last] = [points[0]!, points[count - 1]!];
    if (count === 2 && first.shaping && last.shaping)
      handles[1] = { ...handles[1]!, in: scale(subtract(first, last), 1 / 3) };
    if (first.shaping) {
      const out = endHandle(first, points[1]!, handles[1]!.in, first.shaping.tighten);
      handles[0] = { in: scale(out, -1), out };
    }
    if (last.shaping) {
      const into = endHandle(last, points[count - 2]!, handles[count - 2]!.out, last.shaping.tighten);
      handles[count - 1] = { in: into, out: scale(into, -1) };
    }
  }
  let changed = false;
  const next = points.map((point, i) => {
    const { in: into, out } = handles[i]!;
    if (same(into, point.in) && same(out, point.out)) return point;
    changed = true;
    return { ...point, in: into, out };
  });
  return changed ? next : points;
}

const same = (a: Vector, b: Vector): boolean => a.x === b.x && a.y === b.y;

/** Points of a smooth arc that passes through every given place; they go on rounding themselves off. */
export const smoothThrough = (points: readonly Vector[], closed = false): readonly PointShape[] =>
  withShapedHandles(
    points.map(({ x, y }): PointShape => ({ x, y, in: ZERO, out: ZERO, kind: 'smooth', shaping: PLAIN })),
    closed,
  );

const length = (a: Vector): number => Math.hypot(a.x, a.y);

function passingDirection(point: PointShape, before?: Vector, after?: Vector): Vector {
  const out = unit(point.out);
  const back = unit(scale(point.in, -1));
  if (length(out) > 0 && length(back) > 0) {
    const both = unit(add(out, back));
    return length(both) > 0 ? both : out;
  }
  if (length(out) > 0) return out;
  if (length(back) > 0) return back;
  return unit(subtract(after ?? point, before ?? point));
}

/**
 * The point as another kind. Smooth: both handles in one line, their lengths kept; even: in one line and
 * as long as each other; corner: the handles stay and go their own ways from now on. A point whose
 * handles are drawn in gets some a third of the way to its neighbours.
 */
export function withKind<P extends PointShape>(
  point: P,
  kind: PointKind,
  before?: Vector,
  after?: Vector,
): P {
  if (kind === 'corner') return { ...point, kind, shaping: null };
  const direction = passingDirection(point, before, after);
  const reach = (neighbour: Vector | undefined): number => (neighbour ? distance(point, neighbour) / 3 : 0);
  const lengthOut = length(point.out) || reach(after) || reach(before);
  const lengthIn = length(point.in) || reach(before) || reach(after);
  const evenLength = (lengthIn + lengthOut) / 2;
  return {
    ...point,
    kind,
    shaping: null,
    in: scale(direction, -(kind === 'even' ? evenLength : lengthIn)),
    out: scale(direction, kind === 'even' ? evenLength : lengthOut),
  };
}

/** True when the two handles of a point lie in one line, as far as a hand could tell. */
export function isInLine({ in: into, out }: PointShape): boolean {
  const product = length(into) * length(out);
  return product === 0 || dot(into, out) < -0.9999 * product;
}
