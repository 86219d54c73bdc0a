import type { Post, RulerTick, UnrolledArc } from '@humble/core/views';
import { type Chunk, wholeOf } from '../../../render/chunkedPath';
import type { RangeOnTravel } from '../../../store/selectors/timingSelection';
import { at, type Axis, isInSight, onFreshPixels } from '../../../ui/axis';
import { byDetail, longWithRoom } from '../../../ui/detail';
import type { PlacedHandle } from '../targets/selectTiming';
import type { GraphAxes } from './graphAxes';
import { knobSpot } from './knobs';

const n = (value: number): string => value.toFixed(1);

/**
 * The plan on every frame; a piece of it begins where the one before ends.
 * @param plan field units
 * @param fieldUnits in a unit of the graph's places
 */
export function curveOf(
  plan: ArrayLike<number>,
  fieldUnits: number,
  { time, distance }: GraphAxes,
  { from, until }: Chunk = wholeOf(plan),
): string {
  let d = '';
  const first = Math.max(1, Math.floor(time.from), from);
  const last = Math.min(until, Math.ceil(time.to));
  // A frame for each pixel is as fine as it can be seen.
  const isFresh = onFreshPixels(1);
  for (let f = first; f <= last; f++) {
    const x = at(time, f);
    if (isFresh(x) || f === last)
      d += `${d ? 'L' : 'M'}${n(x)} ${n(at(distance, plan[f - 1]! / fieldUnits))}`;
  }
  return d;
}

export function constantPath({ posts }: UnrolledArc, { time, distance }: GraphAxes): string {
  const [first, last] = [posts[0]!, posts[posts.length - 1]!];
  return `M${n(at(time, first.frame))} ${n(at(distance, first.arcDistance))}L${n(at(time, last.untilFrame))} ${n(at(distance, last.arcDistance))}`;
}

/** Lines closer than this would be a grey field, pixels. */
const MIN_DISTANCE_PX = 3.5;

export function projectionsPath(
  ticks: ArrayLike<RulerTick>,
  { time, distance }: GraphAxes,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  let drawn = Infinity;
  let d = '';
  for (let i = from; i < until; i++) {
    const { frame, arcDistance } = ticks[i]!;
    if (!isInSight(time, frame) || !isInSight(distance, arcDistance)) continue;
    const y = at(distance, arcDistance);
    if (Math.abs(y - drawn) < MIN_DISTANCE_PX) continue;
    drawn = y;
    d += `M${n(time.start)} ${n(y)}H${n(at(time, frame))}`;
  }
  return d;
}

const AXIS_SHORT = 7;
const AXIS_LONG = 12;

/** The ruler's ticks, on the left of the axis: each where it has room; every fifth is longer. */
export function axisTicksPath(
  ticks: ArrayLike<RulerTick>,
  { time, distance }: GraphAxes,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  const long: number[] = [];
  const short: number[] = [];
  for (let i = from; i < until; i++) {
    const { arcDistance, isFifth } = ticks[i]!;
    if (isInSight(distance, arcDistance)) (isFifth ? long : short).push(at(distance, arcDistance));
  }
  const apart = (a: number, b: number): number => Math.abs(b - a);
  const { full, hairlines } = byDetail(short, apart);
  const tick = (length: number) => (y: number) => `M${n(time.start)} ${n(y)}h${-length}`;
  return [
    ...[...full, ...hairlines].map(tick(AXIS_SHORT)),
    ...longWithRoom(long, apart).map(tick(AXIS_LONG)),
  ].join('');
}

const DOT = 2.2;
/** Dots nearer to each other would hide the curve, pixels. */
const DOT_APART_PX = 5;

/** The exposures on the curve; those that are put by hand are not on it. */
export function dotsPath({ ticks }: UnrolledArc, { time, distance }: GraphAxes, isByHand: boolean): string {
  const spot = ({ frame, arcDistance }: RulerTick) => ({ x: at(time, frame), y: at(distance, arcDistance) });
  const isClear = (tick: RulerTick, other: RulerTick | undefined): boolean => {
    if (!other) return true;
    const [a, b] = [spot(tick), spot(other)];
    return Math.hypot(a.x - b.x, a.y - b.y) >= DOT_APART_PX;
  };
  const seen = ticks.filter(
    (tick, i) =>
      tick.isByHand === isByHand &&
      isInSight(time, tick.frame) &&
      isInSight(distance, tick.arcDistance) &&
      (isByHand || (isClear(tick, ticks[i - 1]) && isClear(tick, ticks[i + 1]))),
  );
  const r = isByHand ? DOT * 2 : DOT;
  return seen
    .map(
      ({ frame, arcDistance }) =>
        `M${n(at(time, frame) - r)} ${n(at(distance, arcDistance))}l${r} ${-r}l${r} ${r}l${-r} ${r}z`,
    )
    .join('');
}

/** Exposures that are left out: a cross where each would have been. */
export const skippedDotsPath = ({ skipped }: UnrolledArc, { time, distance }: GraphAxes): string =>
  skipped
    .filter(({ frame, arcDistance }) => isInSight(time, frame) && isInSight(distance, arcDistance))
    .map(
      ({ frame, arcDistance }) =>
        `M${n(at(time, frame) - 4)} ${n(at(distance, arcDistance) - 4)}l8 8m0 -8l-8 8`,
    )
    .join('');

const POST = 9;

interface PostSpot {
  readonly id: string;
  readonly kind: Post['kind'];
  readonly x: number;
  readonly y: number;
}

const postSpots = ({ posts }: UnrolledArc, { time, distance }: GraphAxes): PostSpot[] =>
  posts
    .filter(({ arcDistance }) => isInSight(distance, arcDistance))
    .flatMap(({ markIds, kind, arcDistance, frames }) =>
      markIds
        .map((id, i) => ({ id, kind, frame: frames[i]!, y: at(distance, arcDistance) }))
        .filter(({ frame }) => isInSight(time, frame))
        .map(({ id, frame, y }) => ({ id, kind, x: at(time, frame), y })),
    );

/** Upright posts on the curve: a stop has a foot, a pass is open at the curve. */
const postPath = ({ x, y, kind }: PostSpot): string =>
  kind === 'stop'
    ? `M${n(x)} ${n(y - POST)}V${n(y + POST)}m-4 0h8`
    : `M${n(x)} ${n(y - POST)}V${n(y - 3)}M${n(x)} ${n(y + 3)}V${n(y + POST)}`;

export const graphPostsPath = (ruler: UnrolledArc, axes: GraphAxes, markIds: readonly string[]): string =>
  postSpots(ruler, axes)
    .filter(({ id }) => markIds.includes(id))
    .map(postPath)
    .join('');

/** Half of the height of a post, and so of a band of them, pixels. */
export const POST_HALF_PX = POST;

export function graphPostsByDetail(ruler: UnrolledArc, axes: GraphAxes) {
  const { full, hairlines, bands } = byDetail(postSpots(ruler, axes), (a, b) =>
    Math.hypot(a.x - b.x, a.y - b.y),
  );
  return {
    full: full.map(postPath).join(''),
    hairlines: hairlines.map(({ x, y }) => `M${n(x)} ${n(y - POST)}V${n(y + POST)}`).join(''),
    bands: bands.map(linePath).join(''),
  };
}

/** A line through some spots, no finer than it can be seen. */
function linePath(spots: readonly PostSpot[]): string {
  const isFresh = onFreshPixels(1);
  return spots
    .filter(({ x }, i) => i === 0 || i === spots.length - 1 || isFresh(x))
    .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${n(x)} ${n(y)}`)
    .join('');
}

export const stemsPath = (handles: readonly PlacedHandle[], { time, distance }: GraphAxes): string =>
  handles
    .flatMap((placed) => {
      if (!placed.stem) return [];
      const { x, y } = knobSpot(placed, time, distance);
      return [
        `M${n(at(time, placed.stem.frame))} ${n(at(distance, placed.stem.arcDistance))}L${n(x)} ${n(y)}`,
      ];
    })
    .join('');

const KNOB = 5.5;

export const knobsPath = (handles: readonly PlacedHandle[], { time, distance }: GraphAxes): string =>
  handles
    .filter(({ frame, arcDistance }) => isInSight(time, frame) && isInSight(distance, arcDistance))
    .map((placed) => {
      const { x, y } = knobSpot(placed, time, distance);
      return `M${n(x - KNOB)} ${n(y)}a${KNOB} ${KNOB} 0 1 0 ${2 * KNOB} 0a${KNOB} ${KNOB} 0 1 0 ${-2 * KNOB} 0`;
    })
    .join('');

/** Bars as tall as the increments that lead to each exposure; those of travel backwards are told apart. */
export function barsPath(
  ticks: ArrayLike<RulerTick>,
  { pace }: GraphAxes,
  tallest: number,
  isBackwards: boolean,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  const { time } = pace;
  let d = '';
  // Of bars narrower than a pixel the highest of each is drawn.
  let thin: { readonly left: number; height: number } | null = null;
  const write = (left: number, right: number, height: number): void => {
    d += `M${n(left)} ${pace.foot}V${n(pace.foot - height)}H${n(right)}V${pace.foot}Z`;
  };
  for (let i = Math.max(1, from); i < until; i++) {
    const { frame, along } = ticks[i]!;
    const before = ticks[i - 1]!.frame;
    if (along === null || along < 0 !== isBackwards || frame < time.from || before > time.to) continue;
    const [left, right] = [Math.max(time.start, at(time, before)), Math.min(time.end, at(time, frame))];
    const height = Math.min(1, Math.abs(along) / tallest) * pace.height;
    if (right - left >= 1) write(left, Math.max(left + 1, right - (right - left > 4 ? 1 : 0)), height);
    else if (thin && left - thin.left < 1) thin.height = Math.max(thin.height, height);
    else {
      if (thin) write(thin.left, thin.left + 1, thin.height);
      thin = { left, height };
    }
  }
  if (thin) write(thin.left, thin.left + 1, thin.height);
  return d;
}

export function chosenPath(
  { runs, stretch }: RangeOnTravel,
  fieldUnits: number,
  { time, distance, pace }: GraphAxes,
): string {
  const clip = (axis: Axis, value: number): number => at(axis, Math.min(axis.to, Math.max(axis.from, value)));
  const band = (over: Axis, top: number, foot: number): string[] =>
    runs.map(
      ({ from, until }) =>
        `M${n(clip(over, from))} ${n(top)}H${n(Math.max(clip(over, until), clip(over, from) + 2))}V${foot}H${n(clip(over, from))}Z`,
    );
  const bands = pace.isBeside
    ? [...band(time, distance.end, distance.start), ...band(pace.time, distance.end, pace.foot)]
    : band(time, distance.end, pace.foot);
  const [low, high] = [clip(distance, stretch.from / fieldUnits), clip(distance, stretch.to / fieldUnits)];
  return `${bands.join('')}M${n(time.start - AXIS_LONG)} ${n(low)}V${n(Math.min(high, low - 2))}H${n(time.start)}V${n(low)}Z`;
}
