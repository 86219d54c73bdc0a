import type { Cubic } from '../cubic';
import { applyTo, rotationAbout } from '../transform';
import { add, directionDeg, mix, scale, subtract, type Vector, wrapDeg, ZERO } from '../vector';

export const RADIANS = Math.PI / 180;
/** No cubic of a round shape turns further than this: a circle is true to 4 millionths of its radius. */
const MAX_TURN_DEG = 45;

export const line = (start: Vector, end: Vector): Cubic => ({
  start,
  control1: mix(start, end, 1 / 3),
  control2: mix(start, end, 2 / 3),
  end,
});

export const halfThrow = (start: Vector, end: Vector): Cubic => {
  // The tangents of both ends meet halfway across, at the height of the top.
  const meeting = { x: (start.x + end.x) / 2, y: Math.min(start.y, end.y) };
  return { start, control1: mix(start, meeting, 2 / 3), control2: mix(end, meeting, 2 / 3), end };
};

/**
 * Cubics along a curve that is given with its derivative, through equal steps of its parameter (Hermite's
 * form).
 */
export function along(
  pointAt: (t: number) => Vector,
  derivative: (t: number) => Vector,
  from: number,
  to: number,
  pieces: number,
): Cubic[] {
  const step = (to - from) / pieces;
  return Array.from({ length: pieces }, (_, i): Cubic => {
    const [t, u] = [from + i * step, from + (i + 1) * step];
    const [start, end] = [pointAt(t), pointAt(u)];
    return {
      start,
      control1: add(start, scale(derivative(t), step / 3)),
      control2: subtract(end, scale(derivative(u), step / 3)),
      end,
    };
  });
}

/**
 * Part of an ellipse about the origin; the handles have the length that suits a circle best (4/3·tan of a
 * quarter of the turn).
 * @param largestTurnDeg no cubic turns further; the error grows with its sixth power
 */
export function roundArc(
  radiusX: number,
  radiusY: number,
  fromDeg: number,
  sweepDeg: number,
  largestTurnDeg = MAX_TURN_DEG,
): Cubic[] {
  const pieces = Math.max(1, Math.ceil(Math.abs(sweepDeg) / largestTurnDeg - 1e-9));
  const step = (sweepDeg * RADIANS) / pieces;
  const handle = (4 / 3) * Math.tan(step / 4);
  const on = (radians: number): Vector => ({
    x: radiusX * Math.cos(radians),
    y: radiusY * Math.sin(radians),
  });
  const derivative = (radians: number): Vector => ({
    x: -radiusX * Math.sin(radians),
    y: radiusY * Math.cos(radians),
  });
  return Array.from({ length: pieces }, (_, i): Cubic => {
    const from = fromDeg * RADIANS + i * step;
    const to = from + step;
    return {
      start: on(from),
      control1: add(on(from), scale(derivative(from), handle)),
      control2: subtract(on(to), scale(derivative(to), handle)),
      end: on(to),
    };
  });
}

export const mapped = (cubics: readonly Cubic[], map: (p: Vector) => Vector): Cubic[] =>
  cubics.map(({ start, control1, control2, end }) => ({
    start: map(start),
    control1: map(control1),
    control2: map(control2),
    end: map(end),
  }));

export function placed(cubics: readonly Cubic[], centre: Vector, turnDeg: number): Cubic[] {
  const turned = rotationAbout(ZERO, turnDeg);
  return mapped(cubics, (p) => add(applyTo(turned, p), centre));
}

export const polar = (centre: Vector, angleDeg: number, radius: number): Vector => ({
  x: centre.x + radius * Math.cos(angleDeg * RADIANS),
  y: centre.y + radius * Math.sin(angleDeg * RADIANS),
});

export const angleFrom = (centre: Vector, to: Vector): number =>
  directionDeg(to.x - centre.x, to.y - centre.y);

/** The angle nearest to an earlier one that points the same way, so that dragging round goes on counting. */
export const nearestTurn = (deg: number, to: number): number => to + wrapDeg(deg - to);

export const alongDirection = (centre: Vector, directionDegrees: number, to: Vector): number =>
  applyTo(rotationAbout(centre, -directionDegrees), to).x - centre.x;
