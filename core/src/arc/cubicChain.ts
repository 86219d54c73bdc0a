import type { Cubic } from './cubic';
import { isInLine, type PointShape } from './smoothing';
import { mix, subtract, type Vector, ZERO } from './vector';

/** A control this near to where a line at steady parameter has it lies there, as a share of the line. */
const STRAIGHT = 1e-9;

function isLine({ start, control1, control2, end }: Cubic): boolean {
  const size = Math.abs(end.x - start.x) + Math.abs(end.y - start.y);
  const near = (a: Vector, b: Vector): boolean =>
    Math.abs(a.x - b.x) + Math.abs(a.y - b.y) <= STRAIGHT * size;
  return near(control1, mix(start, end, 1 / 3)) && near(control2, mix(start, end, 2 / 3));
}

/**
 * The points of an arc that runs through cubics, each of which starts where the one before ends.
 * @param closed the last cubic ends where the first one starts; they share a point
 * @param isCorner which points (0 is the first) are corners; without it those whose handles are not in line
 */
export function fromCubics(
  cubics: readonly Cubic[],
  closed: boolean,
  isCorner?: (index: number) => boolean,
): PointShape[] {
  const first = cubics[0];
  if (!first) return [];
  const outOf = (cubic: Cubic | undefined): Vector =>
    cubic && !isLine(cubic) ? subtract(cubic.control1, cubic.start) : ZERO;
  const into = (cubic: Cubic | undefined): Vector =>
    cubic && !isLine(cubic) ? subtract(cubic.control2, cubic.end) : ZERO;
  const count = cubics.length;
  const points = closed
    ? cubics.map(({ start }) => start)
    : [...cubics.map(({ start }) => start), cubics[count - 1]!.end];
  return points.map(({ x, y }, i): PointShape => {
    const before = cubics[i - 1] ?? (closed ? cubics[count - 1] : undefined);
    const point = { x, y, in: into(before), out: outOf(cubics[i]), kind: 'smooth' as const };
    const isSharp = isCorner ? isCorner(i) : isSharpPoint(point, before, cubics[i]);
    return { ...point, kind: isSharp ? 'corner' : 'smooth' };
  });
}

function isSharpPoint(point: PointShape, before?: Cubic, after?: Cubic): boolean {
  if (!before || !after) return false;
  const arriving = subtract(before.end, isLine(before) ? before.start : before.control2);
  const leaving = subtract(isLine(after) ? after.end : after.control1, after.start);
  return !isInLine({ ...point, in: { x: -arriving.x, y: -arriving.y }, out: leaving });
}
