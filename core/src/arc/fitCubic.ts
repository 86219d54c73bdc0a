import { type Cubic, derivativeAt, pointAt, polynomial, secondDerivativeAt } from './cubic';
import { add, distance, dot, scale, subtract, unit, type Vector } from './vector';

export interface CubicFit {
  readonly cubic: Cubic;
  /** Largest distance of a sample from the curve, field units. */
  readonly deviation: number;
  readonly worst: number;
}

/** Rounds of putting the samples anew along the curve (Schneider 1990); after this many none gets better. */
const REPARAMETRISATIONS = 12;
/** Handles longer than this share of the chord's samples are wild and are drawn back to thirds. */
const MAX_HANDLE = 1.5;

function chordParameters(samples: readonly Vector[]): number[] {
  const along = [0];
  for (let i = 1; i < samples.length; i++) along.push(along[i - 1]! + distance(samples[i - 1]!, samples[i]!));
  const whole = along[along.length - 1]!;
  return whole > 0 ? along.map((a) => a / whole) : along;
}

function leastSquares(
  samples: readonly Vector[],
  parameters: readonly number[],
  leaving: Vector,
  arriving: Vector,
): Cubic {
  const start = samples[0]!;
  const end = samples[samples.length - 1]!;
  let c00 = 0;
  let c01 = 0;
  let c11 = 0;
  let x0 = 0;
  let x1 = 0;
  const turn = dot(leaving, arriving);
  // Written out in numbers: a long gesture comes here with millions of samples.
  for (let i = 0; i < samples.length; i++) {
    const t = parameters[i]!;
    const r = 1 - t;
    const b1 = 3 * t * r * r;
    const b2 = 3 * t * t * r;
    const ofStart = r * r * r + b1;
    const ofEnd = t * t * t + b2;
    const restX = samples[i]!.x - ofStart * start.x - ofEnd * end.x;
    const restY = samples[i]!.y - ofStart * start.y - ofEnd * end.y;
    c00 += b1 * b1;
    c01 += b1 * b2 * turn;
    c11 += b2 * b2;
    x0 += b1 * (leaving.x * restX + leaving.y * restY);
    x1 += b2 * (arriving.x * restX + arriving.y * restY);
  }
  // The directions are of length 1, or 0 where a segment has none.
  c00 *= dot(leaving, leaving);
  c11 *= dot(arriving, arriving);
  const determinant = c00 * c11 - c01 * c01;
  const chord = distance(start, end);
  let length = 0;
  for (let i = 1; i < samples.length; i++) length += distance(samples[i - 1]!, samples[i]!);
  let first = (x0 * c11 - x1 * c01) / determinant;
  let second = (c00 * x1 - c01 * x0) / determinant;
  const least = chord * 1e-3;
  const most = length * MAX_HANDLE;
  const isUsable = (handle: number): boolean => handle > least && handle < most;
  if (Math.abs(determinant) < 1e-12 * c00 * c11 || !isUsable(first) || !isUsable(second))
    first = second = Math.max(chord, length) / 3;
  return {
    start,
    control1: add(start, scale(leaving, first)),
    control2: add(end, scale(arriving, second)),
    end,
  };
}

function reparametrise(cubic: Cubic, samples: readonly Vector[], parameters: number[]): number[] {
  const p = polynomial(cubic);
  return parameters.map((t, i) => {
    const off = subtract(pointAt(p, t), samples[i]!);
    const d = derivativeAt(p, t);
    const dd = secondDerivativeAt(p, t);
    const slope = dot(d, d) + dot(off, dd);
    if (slope <= 0) return t;
    return Math.min(1, Math.max(0, t - dot(off, d) / slope));
  });
}

function deviationOf(cubic: Cubic, samples: readonly Vector[], parameters: readonly number[]): CubicFit {
  const p = polynomial(cubic);
  let deviation = 0;
  let worst = samples.length >> 1;
  for (let i = 1; i + 1 < samples.length; i++) {
    const away = distance(pointAt(p, parameters[i]!), samples[i]!);
    if (away > deviation) {
      deviation = away;
      worst = i;
    }
  }
  return { cubic, deviation, worst };
}

/**
 * The cubic that leaves the first sample and arrives at the last in given directions and lies
 * nearest to the samples between (Schneider 1990, "An algorithm for automatically fitting digitized
 * curves").
 * @param leaving unit vector from the first sample into the curve
 * @param arriving unit vector from the last sample back into the curve
 */
export function fitCubic(samples: readonly Vector[], leaving: Vector, arriving: Vector): CubicFit {
  let parameters = chordParameters(samples);
  let best = deviationOf(leastSquares(samples, parameters, leaving, arriving), samples, parameters);
  for (let i = 0; i < REPARAMETRISATIONS && samples.length > 2; i++) {
    parameters = reparametrise(best.cubic, samples, parameters);
    const next = deviationOf(leastSquares(samples, parameters, leaving, arriving), samples, parameters);
    if (next.deviation >= best.deviation) break;
    best = next;
  }
  return best;
}

export function directionInto(samples: readonly Vector[], at: number, step: 1 | -1, reach: number): Vector {
  const from = samples[at]!;
  let sum: Vector = { x: 0, y: 0 };
  for (let i = at + step; i >= 0 && i < samples.length; i += step) {
    const chord = subtract(samples[i]!, from);
    sum = add(sum, chord);
    if (Math.hypot(chord.x, chord.y) >= reach) break;
  }
  return unit(sum);
}
