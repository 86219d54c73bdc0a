import type { PointShape } from './smoothing';
import type { Cubic } from './cubic';
import { add, mix } from './vector';

export interface Chain<Point extends PointShape = PointShape> {
  readonly points: readonly Point[];
  readonly closed: boolean;
}

const isDrawnIn = (handle: { x: number; y: number }): boolean => handle.x === 0 && handle.y === 0;

/** True when both handles between two neighbours are drawn in: a straight line at steady parameter. */
export function isStraight(from: PointShape, to: PointShape): boolean {
  return isDrawnIn(from.out) && isDrawnIn(to.in);
}

export function segmentBetween(from: PointShape, to: PointShape): Cubic {
  if (isStraight(from, to))
    return {
      start: from,
      control1: mix(from, to, 1 / 3),
      control2: mix(from, to, 2 / 3),
      end: to,
    };
  return { start: from, control1: add(from, from.out), control2: add(to, to.in), end: to };
}

export function segmentCount(arc: Chain): number {
  const n = arc.points.length;
  if (n < 2) return 0;
  return arc.closed ? n : n - 1;
}

export function segmentEnds<Point extends PointShape>(
  arc: Chain<Point>,
  index: number,
): readonly [Point, Point] {
  const from = arc.points[index];
  const to = arc.points[(index + 1) % arc.points.length];
  if (!from || !to) throw new RangeError(`the arc has no segment ${index}`);
  return [from, to];
}
