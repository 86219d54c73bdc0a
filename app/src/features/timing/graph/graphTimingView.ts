import type { Vector } from '@humble/core';
import type { UnrolledArc } from '@humble/core/views';
import type { Target } from '../../../interaction/target';
import { selectPassage } from '../../../store/selectors/timingSelection';
import type { AppStore } from '../../../store/store';
import { at, isInSight, valueAt } from '../../../ui/axis';
import { edgeTarget } from '../targets/edgeTarget';
import { handleTarget } from '../targets/handleTarget';
import { markTarget } from '../targets/markTarget';
import { paceTarget } from '../targets/paceTarget';
import { selectHandles, type TimingNow } from '../targets/selectTiming';
import { tickTarget } from '../targets/tickTarget';
import type { GraphTimingView } from '../targets/timingView';
import { type GraphAxes, isOnPace, timeAt } from './graphAxes';
import { EDGE_PX, edgesOf, knobSpot } from './knobs';

export const GRAPH_TARGETS: readonly Target<GraphTimingView>[] = [
  paceTarget,
  edgeTarget,
  handleTarget,
  markTarget,
  tickTarget,
];

/** A thing is taken from so far away, in the graph and on the ruler at its left, pixels. */
const REACH_PX = 18;
const AXIS_REACH_PX = 10;

/** What a drag of a mark strays less than this to the side does not count, pixels: one moves it in time or in place. */
const STRAY_PX = 9;

/** Pixels without what they strayed. */
function settled(pixels: number, from: number): number {
  const moved = pixels - from;
  return from + Math.sign(moved) * Math.max(0, Math.abs(moved) - STRAY_PX);
}

interface GraphOptions {
  readonly store: AppStore;
  readonly now: TimingNow;
  readonly axes: GraphAxes;
  /** The increment of the highest bar, units of the ruler. */
  readonly tallestOf: (ruler: UnrolledArc) => number;
}

export function graphTimingView(
  { store, now, axes, tallestOf }: GraphOptions,
  { x: pointerX }: Vector,
): GraphTimingView {
  const { time, distance, pace } = axes;
  const isOnAxis = pointerX < time.start;
  const state = store.getState();
  const passage = isOnAxis ? null : selectPassage(state);
  return {
    store,
    now,
    reachPx: isOnAxis ? AXIS_REACH_PX : REACH_PX,
    splitsPosts: !isOnAxis,
    place: ({ frame, arcDistance }) => {
      if (!isInSight(distance, arcDistance) || (!isOnAxis && !isInSight(time, frame))) return null;
      return { x: isOnAxis ? pointerX : at(time, frame), y: at(distance, arcDistance) };
    },
    meaning: ({ x, y }) => ({ frame: valueAt(time, x), arcDistance: valueAt(distance, y) }),
    markMeaning: ({ x, y }, start) => ({
      frame: isOnAxis ? null : valueAt(time, settled(x, start.x)),
      arcDistance: valueAt(distance, settled(y, start.y)),
    }),
    frameAt: (place) => Math.round(valueAt(timeAt(axes, place), place.x)),
    handles: isOnAxis
      ? []
      : selectHandles(state).map((placed) => ({ ...placed, ...knobSpot(placed, time, distance) })),
    edges: edgesOf(passage, time).map((edge) => ({
      passage: passage!,
      edge,
      x: at(time, passage![edge]),
      y: distance.end + EDGE_PX / 2,
    })),
    isOnPace: (place) => isOnPace(axes, place),
    paceMeaning: ({ x, y }) => ({
      frame: valueAt(pace.time, x),
      increment: ((pace.foot - y) / pace.height) * tallestOf(now.ruler),
    }),
  };
}
