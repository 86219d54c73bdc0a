import type { Vector } from '@humble/core';
import type { UnrolledArc } from '@humble/core/views';
import { lruMemoize } from '@reduxjs/toolkit';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { pictureMenu } from '../../../commands/menus/timingMenus';
import { interactiveSurface, type ZoomedAxis } from '../../../interaction/interactiveSurface';
import { InteractiveView } from '../../../interaction/InteractiveView';
import { useViewKeys } from '../../../interaction/useViewKeys';
import { useZoom } from '../../../interaction/useZoom';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import { currentFrame } from '../../../playback/playhead';
import { useAppStore } from '../../../store/hooks';
import type { AppStore } from '../../../store/store';
import { useThrottledSelector } from '../../../store/throttled/hooks';
import { throttledStoreOf } from '../../../store/throttled/throttledStore';
import { valueAt } from '../../../ui/axis';
import { Words } from '../../../ui/Words';
import { timingWords as words } from '../../../words/timing';
import { arcDistanceAtPlayhead, selectTiming, type TimingNow } from '../targets/selectTiming';
import { timingGround } from '../targets/timingGround';
import type { GraphTimingView } from '../targets/timingView';
import { FitButton } from '../views/FitButton';
import { AXIS_WIDTH, graphAxes, timeAt } from './graphAxes';
import { GraphDrawing } from './GraphDrawing';
import { GRAPH_LIVE_VIEW } from './graphLiveView';
import { GRAPH_TARGETS, graphTimingView } from './graphTimingView';

/** Room above the tallest bar, so that it can be drawn taller. */
const PACE_ROOM = 1.4;

/**
 * Distance over time. The arc stands as a ruler on the left, and fine lines lead from the curve's exposures to
 * its ticks: where the curve is flat they lie close. Beneath, the pace: an increment a bar.
 */
export function GraphView({ height }: { readonly height: number }) {
  const now = useThrottledSelector(selectTiming, sameTiming);
  return now ? <GraphInHand now={now} height={height} /> : <Words tone="soft">{words.noGraphYet}</Words>;
}

const sameTiming = (a: TimingNow | null, b: TimingNow | null): boolean =>
  a?.ruler === b?.ruler && a?.lengthFrames === b?.lengthFrames && a?.rate === b?.rate;

function GraphInHand({ now, height }: { readonly now: TimingNow; readonly height: number }) {
  const { ruler, lengthFrames, move } = now;
  const store = useAppStore();
  const [width, setWidth] = useState(0);
  const last = Math.max(lengthFrames, move.marks[move.marks.length - 1]!.frame);
  const whole = useMemo(() => ({ from: 1, to: last }), [last]);
  const wholeDistance = useMemo(() => distanceRange(ruler), [ruler]);
  const time = useZoom(whole);
  const distance = useZoom(wholeDistance);
  const axes = useMemo(
    () => graphAxes({ time: time.range, distance: distance.range, width, height }),
    [time.range, distance.range, width, height],
  );
  const [tallestOf] = useState(() => tallestBar(store));
  const zooms: readonly ZoomedAxis[] = [
    {
      zoom: time,
      along: 'x',
      axisAt: (at) => timeAt(axes, at),
      takesWheel: ({ x }) => x >= AXIS_WIDTH,
      focus: currentFrame,
    },
    {
      zoom: distance,
      along: 'y',
      axisAt: () => axes.distance,
      takesWheel: ({ x }) => x < AXIS_WIDTH,
      focus: () => arcDistanceAtPlayhead(ruler),
    },
  ];
  const frameAt = (place: Vector): number => Math.round(valueAt(timeAt(axes, place), place.x));
  const surface = interactiveSurface<GraphTimingView>({
    view: (at) => {
      const present = selectTiming(store.getState());
      return present && graphTimingView({ store, now: present, axes, tallestOf }, at);
    },
    targets: GRAPH_TARGETS,
    ground: timingGround,
    groundMenu: ({ frameAt: frameOf }, at) => pictureMenu(store, frameOf(at)),
    hover: (at) =>
      setHoveredFrame(at && at.x >= AXIS_WIDTH ? Math.min(last, Math.max(1, frameAt(at))) : null),
    zooms,
  });
  return (
    <View>
      <InteractiveView
        testID="distance-graph"
        label={words.graphDescription(last)}
        liveView={GRAPH_LIVE_VIEW}
        surface={surface}
        zooms={zooms}
        keys={useViewKeys(zooms)}
        height={height}
        onWidth={setWidth}
        className="cursor-crosshair will-change-transform"
      >
        {() => <GraphDrawing now={now} axes={axes} size={{ width, height }} tallestOf={tallestOf} />}
      </InteractiveView>
      <View pointerEvents="box-none" className="absolute bottom-0 left-0">
        <FitButton zooms={zooms} of="graph" />
      </View>
    </View>
  );
}

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
