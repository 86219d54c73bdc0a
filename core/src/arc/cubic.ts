import { directionDeg, mix, type Vector } from './vector';

/** One cubic Bézier segment: two ends and two controls, in field units. */
export interface Cubic {
  readonly start: Vector;
  readonly control1: Vector;
  readonly control2: Vector;
  readonly end: Vector;
}

/**
 * The same segment as a polynomial in t: ((ax·t + bx)·t + cx)·t + dx, and the same for y.
 * Everything that is evaluated often reads this form.
 */
export interface CubicPolynomial {
  readonly ax: number;
  readonly bx: number;
  readonly cx: number;
  readonly dx: number;
  readonly ay: number;
  readonly by: number;
  readonly cy: number;
  readonly dy: number;
}

/** A segment as a polynomial: the power basis of the Bernstein form. Nothing is lost but the last digits. */
export function polynomial({ start: p, control1: q, control2: r, end: e }: Cubic): CubicPolynomial {
  return {
    ax: e.x - p.x + 3 * (q.x - r.x),
    bx: 3 * (p.x - 2 * q.x + r.x),
    cx: 3 * (q.x - p.x),
    dx: p.x,
    ay: e.y - p.y + 3 * (q.y - r.y),
    by: 3 * (p.y - 2 * q.y + r.y),
    cy: 3 * (q.y - p.y),
    dy: p.y,
  };
}

/** The point at parameter t, field units. @param t 0 to 1; beyond, the curve goes on */
export function pointAt(p: CubicPolynomial, t: number): Vector {
  return {
    x: ((p.ax * t + p.bx) * t + p.cx) * t + p.dx,
    y: ((p.ay * t + p.by) * t + p.cy) * t + p.dy,
  };
}

/** First derivative by t: field units per unit of parameter. Zero at a handle that is drawn in. */
export function derivativeAt(p: CubicPolynomial, t: number): Vector {
  return {
    x: (3 * p.ax * t + 2 * p.bx) * t + p.cx,
    y: (3 * p.ay * t + 2 * p.by) * t + p.cy,
  };
}

/** Second derivative by t: field units per unit of parameter squared. */
export function secondDerivativeAt(p: CubicPolynomial, t: number): Vector {
  return { x: 6 * p.ax * t + 2 * p.bx, y: 6 * p.ay * t + 2 * p.by };
}

/** |dB/dt| at t: field units per unit of parameter. */
export function speedAt(p: CubicPolynomial, t: number): number {
  const x = (3 * p.ax * t + 2 * p.bx) * t + p.cx;
  const y = (3 * p.ay * t + 2 * p.by) * t + p.cy;
  return Math.sqrt(x * x + y * y);
}

/** Length of the control polygon: never shorter than the segment itself. */
export function polygonLength({ start: p, control1: q, control2: r, end: e }: Cubic): number {
  return (
    Math.hypot(q.x - p.x, q.y - p.y) + Math.hypot(r.x - q.x, r.y - q.y) + Math.hypot(e.x - r.x, e.y - r.y)
  );
}

/** Below this share of the control polygon, a derivative carries no direction. */
const NO_DIRECTION = 1e-10;

/**
 * Direction of travel at t in degrees, in (−180, 180]. Where the segment stands still in its
 * parameter (a cusp, a handle drawn in) the direction is the limit of the travel that leaves t,
 * or that arrives at t when `side` says so.
 * @param size length of the control polygon; a segment of size 0 has direction 0
 */
export function travelDirectionDeg(
  p: CubicPolynomial,
  t: number,
  size: number,
  side: 'leaving' | 'arriving' = t >= 1 ? 'arriving' : 'leaving',
): number {
  const least = size * NO_DIRECTION;
  const first = derivativeAt(p, t);
  if (Math.abs(first.x) > least || Math.abs(first.y) > least) return directionDeg(first.x, first.y);
  const sign = side === 'arriving' ? -1 : 1;
  const second = secondDerivativeAt(p, t);
  if (Math.abs(second.x) > least || Math.abs(second.y) > least)
    return directionDeg(sign * second.x, sign * second.y);
  return size > 0 ? directionDeg(p.ax, p.ay) : 0;
}

/** Signed curvature at t in 1 / field units, positive when the travel turns clockwise as seen. */
export function curvatureAt(p: CubicPolynomial, t: number): number {
  const d = derivativeAt(p, t);
  const s = Math.hypot(d.x, d.y);
  if (s === 0) return 0;
  const dd = secondDerivativeAt(p, t);
  const curvature = (d.x * dd.y - d.y * dd.x) / (s * s * s);
  return Number.isFinite(curvature) ? curvature : 0;
}

export function split(cubic: Cubic, t: number): readonly [Cubic, Cubic] {
  const a = mix(cubic.start, cubic.control1, t);
  const b = mix(cubic.control1, cubic.control2, t);
  const c = mix(cubic.control2, cubic.end, t);
  const ab = mix(a, b, t);
  const bc = mix(b, c, t);
  const middle = mix(ab, bc, t);
  return [
    { start: cubic.start, control1: a, control2: ab, end: middle },
    { start: middle, control1: bc, control2: c, end: cubic.end },
  ];
}
