import { type ArcMeasure, distanceAtParameter, measureArc, placeBuffer, writePlace } from '../arc/arcMeasure';
import { pointAt } from '../arc/cubic';
import { fitStrokeSamples, type FittedStroke } from '../arc/fitStroke';
import { nearestParameter } from '../arc/nearestPlace';
import type { PointShape } from '../arc/smoothing';
import { distance, type Vector, ZERO } from '../arc/vector';
import { withIds } from '../arc/wholeArc';
import { ShotError } from '../errors';
import { PLAIN_MARK } from '../shot/plainTiming';
import type { Arc, Mark } from '../shot/schema';
import { flowFraction } from '../timing/flow';
import { type Moment, momentsOf, type RawGesture, samplesOn } from './gesture';
import { type Standstill, standstills } from './standstills';

export interface ThinOptions {
  /** Number of intervals that the gesture takes up. */
  readonly frames: number;
  /** How far the figure may be on any frame from where the hand was then, field units, > 0. */
  readonly allowedDeviation: number;
  /** Told from 0 to 1 as the work goes on. */
  readonly onProgress?: (share: number) => void;
}

/** An arc and marks that do what a gesture did. */
export interface ThinnedGesture {
  readonly points: readonly PointShape[];
  /** Frames count from 0, the start of the gesture. */
  readonly marks: readonly Omit<Mark, 'id'>[];
  /** Largest distance between figure and hand on one frame, field units, and which frame that is. */
  readonly deviation: number;
  readonly worstFrame: number;
}

/** The arc takes this share of the allowed deviation; what is left is for the timing. */
const SHARES_OF_ARC = [0.5, 0.25, 0.1] as const;
/** Of what lies closer together than this share of the arc's part one sample is enough. */
const CLOSEST_SHARE = 0.4;
/** Steps between samples that lie further apart are this many times as long. */
const LONGEST_STEP = 30;
const MOST_STEPS = 64;
/** A place is looked for about where it should be, as far as this share of its stretch. */
const LOOK_ABOUT = 0.35;
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
 * The way of the hand for an arc to be fitted to: while it rests it is on one spot, and of samples that lie
 * closer together than anyone could tell one is enough.
 */
function wayOf(
  samples: readonly Moment[],
  moments: readonly Moment[],
  rests: readonly Standstill[],
  closest: number,
): Moment[] {
  const way: Moment[] = [samples[0]!];
  let next = 0;
  for (const sample of samples) {
    for (let rest = rests[next]; rest && sample.frame >= rest.from; rest = rests[next]) {
      if (sample.frame < rest.until) break;
      const { x, y } = moments[rest.about]!;
      way.push({ x, y, frame: rest.from }, { x, y, frame: rest.until });
      next++;
    }
    const rest = rests[next];
    if (rest && sample.frame >= rest.from) continue;
    if (distance(sample, way[way.length - 1]!) >= closest) way.push(sample);
  }
  const last = samples[samples.length - 1]!;
  if (distance(last, way[way.length - 1]!) > 0 || way.length < 2) way.push(last);
  return withStepsBetween(way, closest * LONGEST_STEP);
}

/** Places on the straight line between two that lie far apart: there the hand went straight, as far as is known. */
function withStepsBetween(way: readonly Moment[], longest: number): Moment[] {
  return way.flatMap((to, i) => {
    const from = way[i - 1];
    const steps = from ? Math.min(MOST_STEPS, Math.max(1, Math.ceil(distance(from, to) / longest))) : 1;
    return Array.from({ length: steps }, (_, k): Moment => {
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

/** Lengths of the straight lines through all places up to each of them. */
function lengthsOf(way: readonly Vector[]): Float64Array {
  const lengths = new Float64Array(way.length);
  for (let i = 1; i < way.length; i++) lengths[i] = lengths[i - 1]! + distance(way[i]!, way[i - 1]!);
  return lengths;
}

interface Found {
  readonly stretch: number;
  readonly t: number;
  /** How far from the place that was looked for, field units. */
  readonly away: number;
}

/** The place of a stretch nearest to another, between two parameters. */
function nearestIn(measure: ArcMeasure, stretch: number, to: Vector, from: number, until: number): Found {
  const { curve } = measure.stretches[stretch]!;
  const step = (until - from) / LOOKS;
  let [best, least] = [from, Infinity];
  for (let i = 0; i <= LOOKS; i++) {
    const away = distance(pointAt(curve, from + i * step), to);
    if (away < least) [best, least] = [from + i * step, away];
  }
  const t = nearestParameter(curve, to, Math.max(from, best - step), Math.min(until, best + step));
  return { stretch, t, away: distance(pointAt(curve, t), to) };
}

/** The nearest place about where it should be; where that is not near enough, on the stretches beside it. */
function nearestAround(
  measure: ArcMeasure,
  stretch: number,
  to: Vector,
  about: number,
  nearEnough: number,
): Found {
  let best = nearestIn(
    measure,
    stretch,
    to,
    Math.max(0, about - LOOK_ABOUT),
    Math.min(1, about + LOOK_ABOUT),
  );
  if (best.away <= nearEnough) return best;
  const last = measure.stretches.length - 1;
  for (let i = Math.max(0, stretch - 1); i <= Math.min(last, stretch + 1); i++) {
    const other = nearestIn(measure, i, to, 0, 1);
    if (other.away < best.away) best = other;
  }
  return best;
}

/**
 * The distance along a fitted arc for each moment: nearest to where the hand was, on the stretch that was
 * fitted to it then, so that loops and lines drawn twice stay in their order.
 */
function distancesOf(
  measure: ArcMeasure,
  { samples }: FittedStroke,
  way: readonly Moment[],
  moments: readonly Moment[],
  nearEnough: number,
): Float64Array {
  const lengths = lengthsOf(way);
  let at = 0;
  let stretch = 0;
  return Float64Array.from(moments, (moment) => {
    while (at < way.length - 2 && way[at + 1]!.frame <= moment.frame) at++;
    while (stretch < samples.length - 2 && samples[stretch + 1]! <= at) stretch++;
    const [from, until] = [lengths[samples[stretch]!]!, lengths[samples[stretch + 1]!]!];
    const [before, after] = [way[at]!, way[at + 1]!];
    const passing = after.frame - before.frame;
    const share = passing > 0 ? Math.min(1, (moment.frame - before.frame) / passing) : 1;
    const passed = lengths[at]! + (lengths[at + 1]! - lengths[at]!) * share;
    const about = until > from ? Math.min(1, Math.max(0, (passed - from) / (until - from))) : 0;
    const found = nearestAround(measure, stretch, moment, about, nearEnough);
    return distanceAtParameter(measure, found.stretch, found.t);
  });
}

/** The gesture laid along an arc: where each frame should be, and how to tell how far off a place is. */
interface Laid {
  readonly points: readonly PointShape[];
  /** Distance along the arc on each frame. */
  readonly wanted: Float64Array;
  readonly length: number;
  /** How far a distance along the arc is from where the hand was on a frame, field units. */
  readonly awayOn: (frame: number, along: number) => number;
}

function laidAlong(
  points: readonly PointShape[],
  moments: readonly Moment[],
  wantedOf: (measure: ArcMeasure) => Float64Array,
): Laid {
  const arc = bareArc(points);
  const measure = measureArc(arc);
  const place = placeBuffer();
  return {
    points,
    wanted: wantedOf(measure),
    length: measure.length,
    awayOn: (frame, along) => {
      writePlace(measure, along, arc.points[0], place);
      return distance(place, moments[frame]!);
    },
  };
}

/** Straight lines through where the hand was on each frame: no frame is off it. */
function laidStraight(moments: readonly Moment[]): Laid {
  const points: PointShape[] = [];
  const at = moments.map(({ x, y }) => {
    const before = points[points.length - 1];
    if (!before || before.x !== x || before.y !== y)
      points.push({ x, y, in: ZERO, out: ZERO, kind: 'corner' });
    return points.length - 1;
  });
  return laidAlong(points, moments, (measure) => Float64Array.from(at, (i) => measure.startDistance[i]!));
}

/** An arc as smooth as the allowed deviation lets it be, on which every frame finds its place. */
function laid(
  samples: readonly Moment[],
  moments: readonly Moment[],
  rests: readonly Standstill[],
  allowedDeviation: number,
): Laid {
  for (const share of SHARES_OF_ARC) {
    const way = wayOf(samples, moments, rests, allowedDeviation * share * CLOSEST_SHARE);
    const fitted = fitStrokeSamples(way, { allowedDeviation: allowedDeviation * share });
    const found = laidAlong(fitted.points, moments, (measure) =>
      distancesOf(measure, fitted, way, moments, allowedDeviation * share * 1.2),
    );
    if (moments.every((_, k) => found.awayOn(k, found.wanted[k]!) <= allowedDeviation * 0.75)) return found;
  }
  return laidStraight(moments);
}

/** Marks along the way, and how far off the worst frame of each of their spans is. */
class Timing {
  readonly marks: Mark[];
  private worst: { frame: number; away: number }[] = [];

  constructor(
    private readonly laid: Laid,
    marks: readonly Mark[],
  ) {
    this.marks = [...marks];
    this.worst = this.marks.slice(1).map((_, i) => this.worstIn(i));
  }

  awayOn(span: number, frame: number): number {
    return this.laid.awayOn(frame, flowFraction(this.marks, span, frame) * this.laid.length);
  }

  private worstIn(span: number): { frame: number; away: number } {
    const [from, to] = [this.marks[span]!, this.marks[span + 1]!];
    let worst = { frame: from.frame, away: 0 };
    for (let frame = from.frame; frame <= to.frame; frame++) {
      const away = this.awayOn(span, frame);
      if (away > worst.away) worst = { frame, away };
    }
    return worst;
  }

  /** The worst frame of all, and in which span it is. */
  worstOfAll(): { span: number; frame: number; away: number } {
    let span = 0;
    this.worst.forEach(({ away }, i) => {
      if (away > this.worst[span]!.away) span = i;
    });
    return { span, ...this.worst[span]! };
  }

  /** Spans whose speeds a mark has to do with. */
  private judge(from: number, until: number): void {
    for (let i = Math.max(0, from); i <= Math.min(until, this.marks.length - 2); i++)
      this.worst[i] = this.worstIn(i);
  }

  insert(span: number, mark: Mark): void {
    this.marks.splice(span + 1, 0, mark);
    this.worst.splice(span + 1, 0, { frame: mark.frame, away: 0 });
    this.judge(span - 1, span + 2);
  }

  /** Leaves a mark out unless some frame would then be off by more than is allowed. */
  tryWithout(index: number, allowed: number): boolean {
    const mark = this.marks[index]!;
    const before = this.worst.slice(Math.max(0, index - 2), index + 2);
    this.marks.splice(index, 1);
    this.worst.splice(index, 1);
    this.judge(index - 2, index);
    const isGood = this.worst.slice(Math.max(0, index - 2), index + 1).every(({ away }) => away <= allowed);
    if (isGood) return true;
    this.marks.splice(index, 0, mark);
    this.worst.splice(Math.max(0, index - 2), before.length - 1, ...before);
    return false;
  }
}

const FLOW = { kind: 'flow' } as const;
const HOLD = { kind: 'even' } as const;

/**
 * Few points and few marks that do what a gesture did: on every frame the figure is no further than the
 * allowed deviation from where the hand was at that moment. Because places are compared at the same time,
 * pauses survive: where the hand rested the figure holds. Marks are put where the flow through the others is
 * worst, and those that turn out to be needless are left out again.
 * @throws ShotError `out-of-range` for a deviation that is not greater than 0
 */
export function thinGesture(
  gesture: RawGesture,
  { frames, allowedDeviation, onProgress }: ThinOptions,
): ThinnedGesture {
  if (!(allowedDeviation > 0)) throw new ShotError('out-of-range', 'The deviation must be greater than 0.');
  const moments = momentsOf(gesture, frames);
  const rests = standstills(moments, allowedDeviation);
  const arc = laid(samplesOn(gesture, frames), moments, rests, allowedDeviation);
  onProgress?.(0.3);
  const { length, wanted } = arc;
  const markOn = (frame: number, along: number, kind: Mark['kind'], isHeld = false): Mark => ({
    ...PLAIN_MARK,
    id: '',
    frame,
    fraction: length > 0 ? Math.min(1, Math.max(0, along / length)) : 0,
    kind,
    easing: isHeld ? HOLD : FLOW,
  });
  const marks = (length > 0 ? rests : []).flatMap(({ from, until, about }) => [
    markOn(from, wanted[about]!, 'stop', true),
    markOn(until, wanted[about]!, 'stop'),
  ]);
  if (marks[0]?.frame !== 0) marks.unshift(markOn(0, 0, 'stop'));
  if (marks[marks.length - 1]!.frame !== frames) marks.push(markOn(frames, length, 'stop'));
  const timing = new Timing(arc, marks);
  for (let worst = timing.worstOfAll(); worst.away > allowedDeviation; worst = timing.worstOfAll()) {
    const { span, frame } = worst;
    const [from, to] = [timing.marks[span]!, timing.marks[span + 1]!];
    // A mark that is there already cannot be put again: then its own place is what is off.
    if (frame === from.frame || frame === to.frame) break;
    timing.insert(span, markOn(frame, wanted[frame]!, 'pass'));
    onProgress?.(0.3 + 0.5 * Math.min(1, allowedDeviation / worst.away));
  }
  onProgress?.(0.8);
  for (let i = timing.marks.length - 2; i > 0; i--)
    if (timing.marks[i]!.kind === 'pass') timing.tryWithout(i, allowedDeviation);
  const worst = timing.worstOfAll();
  onProgress?.(1);
  return {
    points: arc.points.length > 1 ? arc.points : [arc.points[0]!, arc.points[0]!],
    marks: timing.marks.map(({ id: _, ...mark }) => mark),
    deviation: worst.away,
    worstFrame: worst.frame,
  };
}
