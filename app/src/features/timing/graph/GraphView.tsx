import { timingWords as words } from '../../../words/timing';
import { GRAPH_LIVE_VIEW } from './graphLiveView';
import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { useViewPointer } from '../../../playback/useViewPointer';
import type { UnrolledArc } from '@humble/core/views';
import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { throttledStoreOf } from '../../../store/throttled/throttledStore';
import { useAppStore } from '../../../store/hooks';
import { selectPassage } from '../../../store/selectors/timingSelection';
import { currentFrame } from '../../../playback/playhead';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import type { AppStore } from '../../../store/store';
import { useWheel } from '../../../ui/useWheel';
import { Words } from '../../../ui/Words';
import { valueAt } from '../../../ui/axis';
import { AXIS_WIDTH, graphAxes, isOnPace, timeAt } from './graphAxes';
import { GraphDrawing } from './GraphDrawing';
import { createViewDragHandler } from '../views/viewDrags';
import { paceDrag } from './paceDrag';
import { selectHandles, arcDistanceAtPlayhead, selectTiming, type TimingNow } from '../views/selectTiming';
import { useViewKeys } from '../views/useViewKeys';
import { useZoom } from '../views/useZoom';
import { graphTargets } from './graphTargets';
import { rulerTargets } from '../ruler/rulerTargets';
import { viewMenu } from '../views/viewMenu';
import { targetNear, type ViewTarget } from '../views/viewTargets';
import { FitButton } from '../views/ViewTools';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledSelector } from '../../../store/throttled/hooks';

/** A place on the view, pixels. */
interface Place {
  readonly x: number;
  readonly y: number;
}

/** Room above the tallest bar, so that it can be drawn taller. */
const PACE_ROOM = 1.4;

/**
 * Distance over time. The arc stands as a ruler on the left, and fine lines lead from the curve's exposures to
 * its ticks: where the curve is flat they lie close. Beneath, the pace: an increment a bar.
 */
export function GraphView({ height }: { readonly height: number }) {
  const now = useThrottledSelector(selectTiming, sameTiming);
  return now ? (
    <GraphInHand now={now} height={height} />
  ) : (
    <Words tone="soft">{words.distanceOverTimeAppearsHereOnce}</Words>
  );
}

const sameTiming = (a: TimingNow | null, b: TimingNow | null): boolean =>
  a?.ruler === b?.ruler && a?.lengthFrames === b?.lengthFrames && a?.rate === b?.rate;

function GraphInHand({ now, height }: { readonly now: TimingNow; readonly height: number }) {
  const { ruler, lengthFrames, move } = now;
  const store = useAppStore();
  const view = useRef<View>(null);
  const [width, setWidth] = useState(0);
  const last = Math.max(lengthFrames, move.marks[move.marks.length - 1]!.frame);
  const whole = useMemo(() => ({ from: 1, to: last }), [last]);
  const wholeDistance = useMemo(() => distanceRange(ruler), [ruler]);
  const zoom = useZoom(whole);
  const distanceZoom = useZoom(wholeDistance);
  const { range } = zoom;
  const { range: distanceRangeSeen } = distanceZoom;
  const axes = useMemo(
    () => graphAxes({ time: range, distance: distanceRangeSeen, width, height }),
    [range, distanceRangeSeen, width, height],
  );
  const [tallestOf] = useState(() => tallestBar(store));
  const frameAt = (place: Place): number => Math.round(valueAt(timeAt(axes, place), place.x));
  /** What a press takes hold of, beside the pace and its bars. */
  const targetAt = ({ x, y }: Place, { ruler: present }: TimingNow): ViewTarget | null =>
    x < AXIS_WIDTH
      ? targetNear(
          rulerTargets(present, axes.distance, 0).map((target) => ({ ...target, x, y: target.x })),
          x,
          y,
          10,
        )
      : targetNear(
          graphTargets(present, selectHandles(store.getState()), selectPassage(store.getState()), axes),
          x,
          y,
          18,
        );
  const press = (start: ViewPointer): PressHandler<ViewPointer> => {
    const state = store.getState();
    const present = selectTiming(state);
    if (!present) return {};
    if (isOnPace(axes, start))
      return paceDrag(
        {
          store,
          meaning: ({ x, y }) => ({
            frame: valueAt(axes.pace.time, x),
            increment: ((axes.pace.foot - y) / axes.pace.height) * tallestOf(present.ruler),
          }),
        },
        start,
      );
    const isOnAxis = start.x < AXIS_WIDTH;
    const meaning = ({ x, y }: { readonly x: number; readonly y: number }) => ({
      frame: isOnAxis ? null : settled(x, start.x, (value) => valueAt(axes.time, value)),
      arcDistance: settled(y, start.y, (value) => valueAt(axes.distance, value)),
    });
    const target = targetAt(start, present);
    const exact = ({ x, y }: { readonly x: number; readonly y: number }) => ({
      frame: valueAt(axes.time, x),
      arcDistance: valueAt(axes.distance, y),
    });
    return createViewDragHandler(
      { store, ruler: present.ruler, frameAt, meaning: target?.kind === 'mark' ? meaning : exact },
      target,
      start,
    );
  };
  const gesture = useViewPointer<ViewPointer>(view, GRAPH_LIVE_VIEW, {
    pointer: (raw) => raw,
    press,
    menu: (pointer) => {
      const present = selectTiming(store.getState());
      return present && viewMenu(store, targetAt(pointer, present), frameAt(pointer));
    },
    hover: (pointer) =>
      setHoveredFrame(
        pointer && pointer.x >= AXIS_WIDTH ? Math.min(last, Math.max(1, frameAt(pointer))) : null,
      ),
    pinchBegins: () => {
      zoom.pinchBegins();
      distanceZoom.pinchBegins();
    },
    pinch: (factor, by, middle) => {
      const { time, distance } = axes;
      zoom.pinch(factor, valueAt(timeAt(axes, middle), middle.x), valueAt(time, 0) - valueAt(time, by.x));
      distanceZoom.pinch(factor, valueAt(distance, middle.y), valueAt(distance, 0) - valueAt(distance, by.y));
    },
  });
  useWheel(view, ({ x, y }, factor) => {
    if (x < AXIS_WIDTH) distanceZoom.by(factor, valueAt(axes.distance, y));
    else zoom.by(factor, valueAt(timeAt(axes, { x, y }), x));
  });
  const both = {
    isZoomed: zoom.isZoomed || distanceZoom.isZoomed,
    by: (factor: number): void => {
      zoom.by(factor, currentFrame());
      distanceZoom.by(factor, arcDistanceAtPlayhead(ruler));
    },
    fit: (): void => {
      zoom.fit();
      distanceZoom.fit();
    },
  };
  const keys = useViewKeys(both);
  return (
    <View>
      <GestureDetector gesture={gesture} touchAction="none">
        <View
          ref={view}
          collapsable={false}
          testID="distance-graph"
          role="application"
          tabIndex={0}
          aria-label={words.distanceOverFramesAndThePace(last)}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height }}
          className="cursor-crosshair will-change-transform"
          {...keys}
        >
          {width > 0 && <GraphDrawing now={now} axes={axes} size={{ width, height }} tallestOf={tallestOf} />}
        </View>
      </GestureDetector>
      <View pointerEvents="box-none" className="absolute bottom-0 left-0">
        <FitButton zoom={both} of="graph" />
      </View>
    </View>
  );
}

/** What a drag of a mark strays less than this to the side does not count, pixels: one moves it in time or in place. */
const STRAY_PX = 9;

/** What pixels stand for, as if the first of them were none. */
function settled(pixels: number, from: number, meaning: (pixels: number) => number): number {
  const moved = pixels - from;
  return meaning(from + Math.sign(moved) * Math.max(0, Math.abs(moved) - STRAY_PX));
}

/** All places that the graph has to show, with a little room. */
function distanceRange({ from, to, length }: UnrolledArc) {
  const room = 0.02 * Math.max(1e-6, to - from, length);
  return { from: from - room, to: to + room };
}

/** The increment that the highest bar may have; it rests while something is held. */
function tallestBar(store: AppStore): (ruler: UnrolledArc) => number {
  let tallest = 0;
  const work = lruMemoize((ruler: UnrolledArc) =>
    ruler.ticks.reduce((most, { along }) => Math.max(most, Math.abs(along ?? 0)), 1e-9),
  );
  return (ruler) => {
    if (tallest === 0 || !throttledStoreOf(store).isThrottling()) tallest = work(ruler) * PACE_ROOM;
    return tallest;
  };
}
