import {
  type Cubic,
  type CubicPolynomial,
  derivativeAt,
  polygonLength,
  polynomial,
  secondDerivativeAt,
  speedAt,
  travelDirectionDeg,
} from './cubic';
import { directionDeg, distance, wrapDeg } from './vector';

/** Eight nodes over a piece and over its quarters may differ by this share of the control polygon; the quarters, which count, are then far closer. */
export const LENGTH_TOLERANCE = 1e-9;
/** A place found by distance is right to this share of the control polygon. */
export const PLACE_TOLERANCE = 1e-8;
/** Between two knots the travel turns less than this, so that heading unwraps without doubt. */
const MAX_TURN_DEG = 60;
/** Pieces shorter than this share of the polygon are not divided further (cusps end here). */
const MIN_PIECE = 2e-10;
const MAX_DEPTH = 48;
/** A control polygon shorter than this is a single point: its squares would vanish in a double. */
const MIN_SIZE = 1e-100;
export const COEFFICIENTS = 6;

/**
 * A segment measured once. Between knots i and i+1, w = (s − distance[i]) / (distance[i+1] − distance[i])
 * gives the parameter as a quintic in w with the six coefficients from `inverse[6i]`.
 */
export interface SegmentTable {
  readonly curve: CubicPolynomial;
  readonly size: number;
  readonly length: number;
  readonly distance: Float64Array;
  readonly parameter: Float64Array;
  /** Heading at each knot in degrees, unwrapped along the segment. */
  readonly headingDeg: Float64Array;
  readonly inverse: Float64Array;
}

// Gauss–Legendre nodes and weights on [−1, 1], the positive half (Abramowitz & Stegun, table 25.4).
const NODES_8 = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363];
const WEIGHTS_8 = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763];

/** Arc length between two parameters by eight-point Gauss–Legendre quadrature. */
export function gaussLength(p: CubicPolynomial, from: number, to: number): number {
  const half = (to - from) / 2;
  const middle = (from + to) / 2;
  let sum = 0;
  for (let i = 0; i < 4; i++) {
    const offset = half * NODES_8[i]!;
    sum += WEIGHTS_8[i]! * (speedAt(p, middle - offset) + speedAt(p, middle + offset));
  }
  return sum * half;
}

interface Build {
  readonly curve: CubicPolynomial;
  readonly size: number;
  readonly distance: number[];
  readonly parameter: number[];
  readonly heading: number[];
  readonly inverse: number[];
}

/** dt/ds and d²t/ds² at t; null where the curve stands still and neither exists. */
function inverseSlopes(p: CubicPolynomial, t: number, size: number): readonly [number, number] | null {
  const d = derivativeAt(p, t);
  const speed = Math.sqrt(d.x * d.x + d.y * d.y);
  if (speed <= size * 1e-9) return null;
  const dd = secondDerivativeAt(p, t);
  const acceleration = (d.x * dd.x + d.y * dd.y) / speed;
  return [1 / speed, -acceleration / (speed * speed * speed)];
}

/** Quintic Hermite in w over [0, 1]: value, slope and second derivative met at both ends. */
function quintic(
  t0: number,
  t1: number,
  slopes0: readonly [number, number],
  slopes1: readonly [number, number],
  h: number,
): number[] {
  const v0 = slopes0[0] * h;
  const v1 = slopes1[0] * h;
  const a0 = slopes0[1] * h * h;
  const a1 = slopes1[1] * h * h;
  const rise = t1 - t0;
  return [
    t0,
    v0,
    a0 / 2,
    10 * rise - 6 * v0 - 4 * v1 - 1.5 * a0 + 0.5 * a1,
    -15 * rise + 8 * v0 + 7 * v1 + 1.5 * a0 - a1,
    6 * rise - 3 * v0 - 3 * v1 - 0.5 * a0 + 0.5 * a1,
  ];
}

const horner = (c: readonly number[], w: number): number =>
  ((((c[5]! * w + c[4]!) * w + c[3]!) * w + c[2]!) * w + c[1]!) * w + c[0]!;

/** How far from its true place, field units, a quintic puts what is at parameter t and share w. */
const offAt = (curve: CubicPolynomial, fitted: readonly number[], t: number, w: number): number =>
  Math.abs(horner(fitted, w) - t) * speedAt(curve, t);

/** The parameter as a function of distance over one piece; null where no quintic is close enough. */
function inversePiece(
  { curve, size }: Build,
  t0: number,
  t1: number,
  quarters: readonly [number, number, number, number],
): number[] | null {
  const slopes0 = inverseSlopes(curve, t0, size);
  const slopes1 = inverseSlopes(curve, t1, size);
  if (!slopes0 || !slopes1) return null;
  const [q1, q2, q3, q4] = quarters;
  const length = q1 + q2 + q3 + q4;
  const step = (t1 - t0) / 4;
  const fitted = quintic(t0, t1, slopes0, slopes1, length);
  const worst = Math.max(
    offAt(curve, fitted, t0 + step, q1 / length),
    offAt(curve, fitted, t0 + 2 * step, (q1 + q2) / length),
    offAt(curve, fitted, t0 + 3 * step, (q1 + q2 + q3) / length),
  );
  return worst <= size * PLACE_TOLERANCE ? fitted : null;
}

/** Appends the pieces between two parameters, dividing until lengths, places and headings are sure. */
function divide(build: Build, t0: number, t1: number, whole: number, depth: number): void {
  const { curve, size } = build;
  const step = (t1 - t0) / 4;
  const tm = t0 + 2 * step;
  const quarters = [
    gaussLength(curve, t0, t0 + step),
    gaussLength(curve, t0 + step, tm),
    gaussLength(curve, tm, tm + step),
    gaussLength(curve, tm + step, t1),
  ] as const;
  const firstHalf = quarters[0] + quarters[1];
  const secondHalf = quarters[2] + quarters[3];
  const length = firstHalf + secondHalf;
  const small = length <= size * MIN_PIECE || depth >= MAX_DEPTH;

  const heading = build.heading[build.heading.length - 1]!;
  const turnIn = wrapDeg(travelDirectionDeg(curve, tm, size) - heading);
  const turnOut = wrapDeg(travelDirectionDeg(curve, t1, size, 'arriving') - heading - turnIn);
  const lengthIsSure = Math.abs(length - whole) <= size * LENGTH_TOLERANCE;
  const headingIsSure = Math.abs(turnIn) <= MAX_TURN_DEG && Math.abs(turnOut) <= MAX_TURN_DEG;
  const piece = !small && lengthIsSure && headingIsSure ? inversePiece(build, t0, t1, quarters) : null;
  if (!small && !piece) {
    divide(build, t0, tm, firstHalf, depth + 1);
    divide(build, tm, t1, secondHalf, depth + 1);
    return;
  }
  if (length <= 0) return;
  build.distance.push(build.distance[build.distance.length - 1]! + length);
  build.parameter.push(t1);
  build.heading.push(heading + turnIn + turnOut);
  build.inverse.push(...(piece ?? [t0, t1 - t0, 0, 0, 0, 0]));
}

export function measureLine(cubic: Cubic): SegmentTable {
  const curve = polynomial(cubic);
  const length = distance(cubic.start, cubic.end);
  const headingDeg = length > 0 ? directionDeg(curve.cx, curve.cy) : 0;
  const hasLength = length > MIN_SIZE;
  return {
    // The higher coefficients are rounding noise of the thirds.
    curve: {
      ...curve,
      ax: 0,
      bx: 0,
      cx: cubic.end.x - cubic.start.x,
      ay: 0,
      by: 0,
      cy: cubic.end.y - cubic.start.y,
    },
    size: length,
    length: hasLength ? length : 0,
    distance: Float64Array.from(hasLength ? [0, length] : [0]),
    parameter: Float64Array.from(hasLength ? [0, 1] : [0]),
    headingDeg: Float64Array.from(hasLength ? [headingDeg, headingDeg] : [headingDeg]),
    inverse: Float64Array.from(hasLength ? [0, 1, 0, 0, 0, 0] : []),
  };
}

/**
 * Measures one segment. Length by adaptive Gauss–Legendre quadrature; the way back from distance to
 * parameter by quintic Hermite pieces, accepted only where they agree with the quadrature.
 */
export function measureSegment(cubic: Cubic): SegmentTable {
  const curve = polynomial(cubic);
  const size = polygonLength(cubic);
  const build: Build = {
    curve,
    size,
    distance: [0],
    parameter: [0],
    heading: [travelDirectionDeg(curve, 0, size, 'leaving')],
    inverse: [],
  };
  if (size > MIN_SIZE) divide(build, 0, 1, gaussLength(curve, 0, 1), 0);
  return {
    curve,
    size,
    length: build.distance[build.distance.length - 1]!,
    distance: Float64Array.from(build.distance),
    parameter: Float64Array.from(build.parameter),
    headingDeg: Float64Array.from(build.heading),
    inverse: Float64Array.from(build.inverse),
  };
}
