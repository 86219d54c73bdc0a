import type { Move, RulerTick, UnrolledArc } from '@humble/core';
import { type Chunk, wholeOf } from '../../../render/chunkedPath';
import type { WhereAndWhen } from '../../../store/timingSelection';
import { at, type Axis, isInSight, onFreshPixels } from '../../../ui/axis';
import type { PlacedHandle } from '../views/timingIn';
import { knobSpot } from './graphTargets';

/** Path data of what stands in the distance graph: frames to the right, places upwards. */

/** How the graph lies on its view, pixels. */
export interface GraphAxes {
  readonly time: Axis;
  readonly distance: Axis;
  /** Where the bars of the pace stand, from their foot up. */
  readonly pace: { readonly foot: number; readonly height: number };
}

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

/** Constant speed from the first mark to the last, for comparison. */
export function constantPath({ posts }: UnrolledArc, { time, distance }: GraphAxes): string {
  const [first, last] = [posts[0]!, posts[posts.length - 1]!];
  return `M${n(at(time, first.frame))} ${n(at(distance, first.arcDistance))}L${n(at(time, last.untilFrame))} ${n(at(distance, last.arcDistance))}`;
}

/** Lines closer than this would be a grey field, pixels. */
const LEAST_APART_PX = 3.5;

/** From the curve's exposures to the ruler that stands as the axis. */
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
    if (Math.abs(y - drawn) < LEAST_APART_PX) continue;
    drawn = y;
    d += `M${n(time.start)} ${n(y)}H${n(at(time, frame))}`;
  }
  return d;
}

const AXIS_SHORT = 7;
const AXIS_LONG = 12;

/** The ruler's ticks, on the left of the axis. */
export function axisTicksPath(
  ticks: ArrayLike<RulerTick>,
  { time, distance }: GraphAxes,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  const isFresh = { long: onFreshPixels(1), short: onFreshPixels(1) };
  let d = '';
  for (let i = from; i < until; i++) {
    const { arcDistance, isFifth } = ticks[i]!;
    if (!isInSight(distance, arcDistance)) continue;
    const y = at(distance, arcDistance);
    if (isFresh[isFifth ? 'long' : 'short'](y))
      d += `M${n(time.start)} ${n(y)}h${-(isFifth ? AXIS_LONG : AXIS_SHORT)}`;
  }
  return d;
}

const DOT = 2.2;
/** Dots of a crowd would hide the curve. */
const MOST_DOTS = 400;

/** The exposures on the curve; those that are put by hand are not on it. */
export function dotsPath({ ticks }: UnrolledArc, { time, distance }: GraphAxes, isByHand: boolean): string {
  const seen = ticks.filter(
    (tick) =>
      tick.isByHand === isByHand && isInSight(time, tick.frame) && isInSight(distance, tick.arcDistance),
  );
  if (seen.length > MOST_DOTS) return '';
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

/** Marks on the curve: upright posts; a stop has a foot, a pass is open at the curve. */
export const graphPostsPath = (
  { posts }: UnrolledArc,
  { time, distance }: GraphAxes,
  isMeant: (markId: string) => boolean,
): string =>
  posts
    .flatMap((post) =>
      post.markIds.map((id, i) => ({ id, kind: post.kind, place: post.arcDistance, frame: post.frames[i]! })),
    )
    .filter(
      ({ id, frame, place: arcDistance }) =>
        isMeant(id) && isInSight(time, frame) && isInSight(distance, arcDistance),
    )
    .map(({ frame, place: arcDistance, kind }) => {
      const [x, y] = [n(at(time, frame)), at(distance, arcDistance)];
      return kind === 'stop'
        ? `M${x} ${n(y - POST)}V${n(y + POST)}m-4 0h8`
        : `M${x} ${n(y - POST)}V${n(y - 3)}M${x} ${n(y + 3)}V${n(y + POST)}`;
    })
    .join('');

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
  { time, pace }: GraphAxes,
  tallest: number,
  isBackwards: boolean,
  { from, until }: Chunk = wholeOf(ticks),
): string {
  let d = '';
  // Of bars narrower than a pixel one a pixel is drawn.
  const isFresh = onFreshPixels(1);
  for (let i = Math.max(1, from); i < until; i++) {
    const { frame, along } = ticks[i]!;
    const before = ticks[i - 1]!.frame;
    if (along === null || along < 0 !== isBackwards || frame < time.from || before > time.to) continue;
    const [left, right] = [Math.max(time.start, at(time, before)), Math.min(time.end, at(time, frame))];
    if (right - left < 1 && !isFresh(left)) continue;
    const gap = right - left > 4 ? 1 : 0;
    const height = Math.min(1, Math.abs(along) / tallest) * pace.height;
    d += `M${n(left)} ${pace.foot}V${n(pace.foot - height)}H${n(Math.max(left + 1, right - gap))}V${pace.foot}Z`;
  }
  return d;
}

/** What was chosen: its frames as upright bands, its stretch as a level one. */
export function chosenPath(
  { runs, stretch }: WhereAndWhen,
  fieldUnits: number,
  { time, distance, pace }: GraphAxes,
): string {
  const clip = (axis: Axis, value: number): number => at(axis, Math.min(axis.to, Math.max(axis.from, value)));
  const bands = runs.map(
    ({ from, until }) =>
      `M${n(clip(time, from))} ${n(distance.end)}H${n(Math.max(clip(time, until), clip(time, from) + 2))}V${pace.foot}H${n(clip(time, from))}Z`,
  );
  const [low, high] = [clip(distance, stretch.from / fieldUnits), clip(distance, stretch.to / fieldUnits)];
  return `${bands.join('')}M${n(time.start - AXIS_LONG)} ${n(low)}V${n(Math.min(high, low - 2))}H${n(time.start)}V${n(low)}Z`;
}

/** Frames of exposures that lead out of a span: which bars a hand may draw on. */
export function barFrames({ ticks }: UnrolledArc, move: Move, index: number): number[] {
  const [from, to] = [move.marks[index]!.frame, move.marks[index + 1]!.frame];
  return ticks.map(({ frame }) => frame).filter((frame) => frame > from && frame <= to);
}
