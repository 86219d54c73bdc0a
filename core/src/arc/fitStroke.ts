import type { Cubic } from './cubic';
import { directionInto, fitCubic } from './fitCubic';
import { keepSamples } from './keepSamples';
import type { PointShape } from './smoothing';
import { directionDeg, distance, scale, subtract, unit, type Vector, wrapDeg, ZERO } from './vector';

export interface FitOptions {
  /** How far the stroke may lie from the arc, field units, > 0. */
  readonly allowedDeviation: number;
  /** A turn sharper than this within a few deviations is kept as a corner, degrees. */
  readonly cornerDeg?: number;
}

/**
 * A stroke that turns by more than this, and does not soften when one looks closer, has a corner there. A drawn right
 * angle turns by 70 to 100 degrees, a tight curve by up to 40 over the same reach.
 */
const CORNER_DEG = 50;
/** Directions at a corner are looked for over this many allowed deviations. */
const CORNER_REACH = 5;
/** Directions along a smooth segment are averaged over this many allowed deviations. */
const DIRECTION_REACH = 6;

function withoutRepeats(samples: readonly Vector[]): { path: Vector[]; which: number[] } {
  const path: Vector[] = [];
  const which: number[] = [];
  samples.forEach((sample, i) => {
    if (!Number.isFinite(sample.x) || !Number.isFinite(sample.y)) return;
    const before = path[path.length - 1];
    if (before && distance(before, sample) === 0) return;
    path.push(sample);
    which.push(i);
  });
  return { path, which };
}

function turnAt(samples: readonly Vector[], at: number, reach: number): number {
  const back = directionInto(samples, at, -1, reach);
  const ahead = directionInto(samples, at, 1, reach);
  return Math.abs(wrapDeg(directionDeg(ahead.x, ahead.y) - directionDeg(-back.x, -back.y)));
}

/**
 * Samples at which the stroke breaks its direction. A bend turns less the closer one looks; a corner
 * turns as much at half the reach as at the whole.
 */
function corners(samples: readonly Vector[], allowedDeviation: number, cornerDeg: number): number[] {
  const reach = allowedDeviation * CORNER_REACH;
  const ends = [samples[0]!, samples[samples.length - 1]!];
  return keepSamples(samples, allowedDeviation).filter((at) => {
    if (ends.some((end) => distance(end, samples[at]!) < reach)) return false;
    const near = turnAt(samples, at, reach / 2);
    return near > cornerDeg && near > 0.8 * turnAt(samples, at, reach);
  });
}

interface FittedCubic {
  readonly cubic: Cubic;
  readonly samples: number;
}

/** Of more samples than this some are tried first, evenly: what fails for them fails for all. */
const TRIED_FIRST = 100;

function failsAt(
  samples: readonly Vector[],
  leaving: Vector,
  arriving: Vector,
  allowedDeviation: number,
): number | null {
  if (samples.length < 2 * TRIED_FIRST) return null;
  const every = (samples.length - 1) / TRIED_FIRST;
  const some = Array.from({ length: TRIED_FIRST + 1 }, (_, i) => samples[Math.round(i * every)]!);
  const { deviation, worst } = fitCubic(some, leaving, arriving);
  return deviation > allowedDeviation ? Math.round(worst * every) : null;
}

function fitStretch(
  samples: readonly Vector[],
  leaving: Vector,
  arriving: Vector,
  allowedDeviation: number,
): FittedCubic[] {
  let worst = failsAt(samples, leaving, arriving, allowedDeviation);
  if (worst === null) {
    const fit = fitCubic(samples, leaving, arriving);
    if (fit.deviation <= allowedDeviation || samples.length < 3)
      return [{ cubic: fit.cubic, samples: samples.length - 1 }];
    worst = fit.worst;
  }
  const at = Math.min(Math.max(worst, 1), samples.length - 2);
  const reach = allowedDeviation * DIRECTION_REACH;
  const back = directionInto(samples, at, -1, reach);
  const ahead = directionInto(samples, at, 1, reach);
  let through = unit(subtract(ahead, back));
  if (through.x === 0 && through.y === 0) through = { x: -back.y, y: back.x };
  return [
    ...fitStretch(samples.slice(0, at + 1), leaving, scale(through, -1), allowedDeviation),
    ...fitStretch(samples.slice(at), through, arriving, allowedDeviation),
  ];
}

function pointsOf(segments: readonly (readonly FittedCubic[])[]): PointShape[] {
  const points: PointShape[] = [];
  segments.forEach((cubics, part) =>
    cubics.forEach(({ cubic }, i) => {
      const before = points.pop();
      const kind = part > 0 && i === 0 ? 'corner' : 'smooth';
      points.push(
        {
          ...cubic.start,
          in: before ? before.in : ZERO,
          out: subtract(cubic.control1, cubic.start),
          kind,
        },
        { ...cubic.end, in: subtract(cubic.control2, cubic.end), out: ZERO, kind: 'smooth' },
      );
    }),
  );
  return points;
}

/** Ends have one handle; mirroring it to the outside lets the arc be drawn on from there smoothly. */
function withOuterHandles(points: PointShape[]): PointShape[] {
  return points.map((point, i) => {
    if (i === 0) return { ...point, in: scale(point.out, -1) };
    if (i === points.length - 1) return { ...point, out: scale(point.in, -1) };
    return point;
  });
}

export interface FittedStroke {
  readonly points: readonly PointShape[];
  readonly samples: readonly number[];
}

export function fitStrokeSamples(
  samples: readonly Vector[],
  { allowedDeviation, cornerDeg = CORNER_DEG }: FitOptions,
): FittedStroke {
  const { path, which } = withoutRepeats(samples);
  const only = path[0];
  if (!only) return { points: [], samples: [] };
  if (path.length === 1) {
    const still: PointShape = { x: only.x, y: only.y, in: ZERO, out: ZERO, kind: 'smooth' };
    return { points: [still, still], samples: [which[0]!, samples.length - 1] };
  }
  const reach = allowedDeviation * DIRECTION_REACH;
  const breaks = [0, ...corners(path, allowedDeviation, cornerDeg), path.length - 1];
  const segments = breaks.slice(1).map((until, i) => {
    const part = path.slice(breaks[i], until + 1);
    return fitStretch(
      part,
      directionInto(part, 0, 1, reach),
      directionInto(part, part.length - 1, -1, reach),
      allowedDeviation,
    );
  });
  let at = 0;
  const ends = segments.flat().map((fitted) => which[(at += fitted.samples)]!);
  return { points: withOuterHandles(pointsOf(segments)), samples: [which[0]!, ...ends] };
}

/**
 * The points of a smooth arc through a freehand stroke: few points, corners kept, no sample further
 * from the arc than the allowed deviation.
 * @param samples where the pointer was, field units, in order
 * @returns at least two points; two on the same place when the stroke never left it; none for no samples
 */
export const fitStroke = (samples: readonly Vector[], options: FitOptions): readonly PointShape[] =>
  fitStrokeSamples(samples, options).points;
