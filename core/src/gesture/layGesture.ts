import { type ArcMeasure, distanceAtParameter, measureArc, pointBuffer, writePoint } from '../arc/arcMeasure';
import { pointAt } from '../arc/cubic';
import { fitStrokeSamples, type FittedStroke } from '../arc/fitStroke';
import { nearestParameter } from '../arc/nearestPoint';
import type { PointShape } from '../arc/smoothing';
import { distance, type Vector, ZERO } from '../arc/vector';
import { withIds } from '../arc/wholeArc';
import type { Arc } from '../model/schema';
import type { TimedPoint } from './gesture';
import type { Standstill } from './standstills';

/** The arc takes this share of the allowed deviation, what is left is for the timing; less is tried where that fails. */
const SHARES_OF_ARC = [0.5, 0.25, 0.1] as const;
/** Of what lies closer together than this share of the arc's part one sample is enough. */
const MIN_SHARE = 0.4;
/** Steps between samples that lie further apart are this many times as long. */
const MAX_STEP = 30;
/** Steps looked at between two samples, however far apart they are. */
const MAX_STEPS = 64;
/** A place is looked for about where it should be, as far as this share of its segment. */
const LOOK_ABOUT = 0.35;
/** Places looked at on the way there. */
const LOOKS = 14;

const bareArc = (points: readonly PointShape[]): Arc => ({
  id: 'acted',
  name: 'Acted',
  closed: false,
  points: withIds(points),
  shape: null,
  colour: 'indigo',
  hidden: false,
  locked: false,
});

/**
 * The gesture as points for an arc to be fitted to: a rest is one point, and of samples that lie
 * closer together than anyone could tell one is enough.
 */
function arcAlong(
  samples: readonly TimedPoint[],
  moments: readonly TimedPoint[],
  rests: readonly Standstill[],
  closest: number,
): TimedPoint[] {
  const trail: TimedPoint[] = [samples[0]!];
  let next = 0;
  for (const sample of samples) {
    for (let rest = rests[next]; rest && sample.frame >= rest.from; rest = rests[next]) {
      if (sample.frame < rest.until) break;
      const { x, y } = moments[rest.about]!;
      trail.push({ x, y, frame: rest.from }, { x, y, frame: rest.until });
      next++;
    }
    const rest = rests[next];
    if (rest && sample.frame >= rest.from) continue;
    if (distance(sample, trail[trail.length - 1]!) >= closest) trail.push(sample);
  }
  const last = samples[samples.length - 1]!;
  if (distance(last, trail[trail.length - 1]!) > 0 || trail.length < 2) trail.push(last);
  return withStepsBetween(trail, closest * MAX_STEP);
}

function withStepsBetween(trail: readonly TimedPoint[], longest: number): TimedPoint[] {
  return trail.flatMap((to, i) => {
    const from = trail[i - 1];
    const steps = from ? Math.min(MAX_STEPS, Math.max(1, Math.ceil(distance(from, to) / longest))) : 1;
    return Array.from({ length: steps }, (_, k): TimedPoint => {
      const share = (k + 1) / steps;
      return share === 1 || !from
        ? to
        : {
            x: from.x + (to.x - from.x) * share,
            y: from.y + (to.y - from.y) * share,
            frame: from.frame + (to.frame - from.frame) * share,
          };
    });
  });
}

function lengthsOf(trail: readonly Vector[]): Float64Array {
  const lengths = new Float64Array(trail.length);
  for (let i = 1; i < trail.length; i++) lengths[i] = lengths[i - 1]! + distance(trail[i]!, trail[i - 1]!);
  return lengths;
}

interface Found {
  readonly segment: number;
  readonly t: number;
  /** How far from the place that was looked for, field units. */
  readonly away: number;
}

function nearestIn(measure: ArcMeasure, segment: number, to: Vector, from: number, until: number): Found {
  const { curve } = measure.segments[segment]!;
  const step = (until - from) / LOOKS;
  let [best, least] = [from, Infinity];
  for (let i = 0; i <= LOOKS; i++) {
    const away = distance(pointAt(curve, from + i * step), to);
    if (away < least) [best, least] = [from + i * step, away];
  }
  const t = nearestParameter(curve, to, Math.max(from, best - step), Math.min(until, best + step));
  return { segment, t, away: distance(pointAt(curve, t), to) };
}

function nearestAround(
  measure: ArcMeasure,
  segment: number,
  to: Vector,
  about: number,
  nearEnough: number,
): Found {
  let best = nearestIn(
    measure,
    segment,
    to,
    Math.max(0, about - LOOK_ABOUT),
    Math.min(1, about + LOOK_ABOUT),
  );
  if (best.away <= nearEnough) return best;
  const last = measure.segments.length - 1;
  for (let i = Math.max(0, segment - 1); i <= Math.min(last, segment + 1); i++) {
    const other = nearestIn(measure, i, to, 0, 1);
    if (other.away < best.away) best = other;
  }
  return best;
}

/**
 * The distance along a fitted arc for each moment: nearest to where the hand was, on the segment that was
 * fitted to it then, so that loops and lines drawn twice stay in their order.
 */
function distancesOf(
  measure: ArcMeasure,
  { samples }: FittedStroke,
  trail: readonly TimedPoint[],
  moments: readonly TimedPoint[],
  nearEnough: number,
): Float64Array {
  const lengths = lengthsOf(trail);
  let at = 0;
  let segment = 0;
  return Float64Array.from(moments, (moment) => {
    while (at < trail.length - 2 && trail[at + 1]!.frame <= moment.frame) at++;
    while (segment < samples.length - 2 && samples[segment + 1]! <= at) segment++;
    const [from, until] = [lengths[samples[segment]!]!, lengths[samples[segment + 1]!]!];
    const [before, after] = [trail[at]!, trail[at + 1]!];
    const passing = after.frame - before.frame;
    const share = passing > 0 ? Math.min(1, (moment.frame - before.frame) / passing) : 1;
    const passed = lengths[at]! + (lengths[at + 1]! - lengths[at]!) * share;
    const about = until > from ? Math.min(1, Math.max(0, (passed - from) / (until - from))) : 0;
    const found = nearestAround(measure, segment, moment, about, nearEnough);
    return distanceAtParameter(measure, found.segment, found.t);
  });
}

/** The gesture laid along an arc: where each frame should be, and how to tell how far off a place is. */
export interface LaidGesture {
  readonly points: readonly PointShape[];
  readonly wanted: Float64Array;
  readonly length: number;
  /** How far a distance along the arc is from where the hand was on a frame, field units. */
  readonly awayOn: (frame: number, along: number) => number;
}

function laidAlong(
  points: readonly PointShape[],
  moments: readonly TimedPoint[],
  wantedOf: (measure: ArcMeasure) => Float64Array,
): LaidGesture {
  const arc = bareArc(points);
  const measure = measureArc(arc);
  const point = pointBuffer();
  return {
    points,
    wanted: wantedOf(measure),
    length: measure.length,
    awayOn: (frame, along) => {
      writePoint(measure, along, arc.points[0], point);
      return distance(point, moments[frame]!);
    },
  };
}

function laidStraight(moments: readonly TimedPoint[]): LaidGesture {
  const points: PointShape[] = [];
  const at = moments.map(({ x, y }) => {
    const before = points[points.length - 1];
    if (!before || before.x !== x || before.y !== y)
      points.push({ x, y, in: ZERO, out: ZERO, kind: 'corner' });
    return points.length - 1;
  });
  return laidAlong(points, moments, (measure) => Float64Array.from(at, (i) => measure.startDistance[i]!));
}

/**
 * An arc as smooth as the allowed deviation lets it be, on which every frame finds its place.
 * @param samples all that the pointer reported
 * @param moments where the hand was on each frame
 * @param rests frames on which it rested
 */
export function layGesture(
  samples: readonly TimedPoint[],
  moments: readonly TimedPoint[],
  rests: readonly Standstill[],
  allowedDeviation: number,
): LaidGesture {
  for (const share of SHARES_OF_ARC) {
    const trail = arcAlong(samples, moments, rests, allowedDeviation * share * MIN_SHARE);
    const fitted = fitStrokeSamples(trail, { allowedDeviation: allowedDeviation * share });
    const found = laidAlong(fitted.points, moments, (measure) =>
      distancesOf(measure, fitted, trail, moments, allowedDeviation * share * 1.2),
    );
    if (moments.every((_, k) => found.awayOn(k, found.wanted[k]!) <= allowedDeviation * 0.75)) return found;
  }
  return laidStraight(moments);
}
