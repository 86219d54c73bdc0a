import type { Axis, Range } from '../../../ui/axis';

export interface GraphAxes {
  readonly time: Axis;
  readonly distance: Axis;
  readonly pace: {
    readonly time: Axis;
    readonly foot: number;
    readonly height: number;
    readonly isBeside: boolean;
  };
}

/** Left of this stands the ruler. */
export const AXIS_WIDTH = 44;
/** Frame numbers stand beneath the feet of marks that stand on the ground. */
export const NUMBERS_HEIGHT = 24;

const RIGHT = 12;
const TOP = 14;
const FOOT = 4;
const PACE_HEIGHT = 46;
/** Between graph and pace that stand side by side. */
const GAP = 28;
/** A graph that is at least this many times as wide as high has the pace beside it, not beneath. */
const BESIDE_ASPECT = 3;
/** Share of the width that the graph keeps then. */
const GRAPH_SHARE = 0.62;

interface Seen {
  readonly time: Range;
  readonly distance: Range;
  readonly width: number;
  readonly height: number;
}

/** Graph and pace on a view of this size: one beneath the other, or side by side where the view is low and wide. */
export function graphAxes({ time, distance, width, height }: Seen): GraphAxes {
  const isBeside = width >= BESIDE_ASPECT * height;
  const end = Math.max(AXIS_WIDTH + 1, width - RIGHT);
  const graphEnd = isBeside ? AXIS_WIDTH + GRAPH_SHARE * (end - AXIS_WIDTH) : end;
  const ground = height - NUMBERS_HEIGHT - (isBeside ? 0 : FOOT + PACE_HEIGHT);
  return {
    time: { ...time, start: AXIS_WIDTH, end: graphEnd },
    distance: { ...distance, start: ground, end: TOP },
    pace: isBeside
      ? { time: { ...time, start: graphEnd + GAP, end }, foot: ground, height: ground - TOP, isBeside }
      : { time: { ...time, start: AXIS_WIDTH, end }, foot: height - FOOT, height: PACE_HEIGHT, isBeside },
  };
}

export const isOnPace = (
  { distance, pace }: GraphAxes,
  { x, y }: { readonly x: number; readonly y: number },
): boolean => (pace.isBeside ? x > pace.time.start - GAP / 2 : y > distance.start + NUMBERS_HEIGHT / 2);

export const timeAt = (axes: GraphAxes, place: { readonly x: number; readonly y: number }): Axis =>
  isOnPace(axes, place) ? axes.pace.time : axes.time;
