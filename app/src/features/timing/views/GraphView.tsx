import { evaluate, type Travel, type UnrolledArc } from '@humble/core';
import { memo, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import Svg, { Path, Text } from 'react-native-svg';
import { calmStoreOf } from '../../../state/calmStore';
import { useAppSelector, useAppStore, useHand } from '../../../state/hooks';
import { LiveGroup, LivePath, LiveViewContext, remembered, useLiveDrawing } from '../../../state/live';
import { currentFrame } from '../../../state/playhead';
import { pointAt } from '../../../state/pointed';
import type { AppStore, RootState } from '../../../state/store';
import { chosenIn } from '../../../state/timing';
import { colour } from '../../../ui/colour';
import { MONO } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { useWheel } from '../../../ui/useWheel';
import { Words } from '../../../ui/Words';
import { at, isInSight, roundStep, valueAt } from './axis';
import {
  axisTicksPath,
  barsPath,
  chosenPath,
  constantPath,
  curveOf,
  dotsPath,
  type GraphAxes,
  graphPostsPath,
  knobsPath,
  projectionsPath,
  skippedDotsPath,
  stemsPath,
} from './graphPaths';
import { takeViewHold } from './holds';
import { paceHold } from './paceHold';
import { handlesIn, timingIn, type TimingNow } from './timingIn';
import { useViewGestures, type ViewPointer } from './useViewGestures';
import { useViewKeys } from './useViewKeys';
import { useZoom, type Zoom } from './useZoom';
import { graphTargets, rulerTargets, targetNear } from './viewTargets';
import { FitButton } from './ViewTools';

const AXIS_WIDTH = 44;
const RIGHT = 12;
const TOP = 14;
/** Frame numbers between the graph and the bars. */
const NUMBERS_HEIGHT = 18;
const PACE_HEIGHT = 46;
const FOOT = 4;
/** Room above the tallest bar, so that it can be drawn taller. */
const PACE_ROOM = 1.4;

/**
 * Distance over time. The arc stands as a ruler on the left, and fine lines lead from the curve's exposures to
 * its ticks: where the curve is flat they lie close. Beneath, the pace: an increment a bar.
 */
export function GraphView({ height }: { readonly height: number }) {
  const now = useAppSelector(timingIn, sameTiming);
  return now ? (
    <GraphInHand now={now} height={height} />
  ) : (
    <Words tone="soft">Distance over time stands here once something travels on the arc.</Words>
  );
}

const sameTiming = (a: TimingNow | null, b: TimingNow | null): boolean =>
  a?.ruler === b?.ruler && a?.lengthFrames === b?.lengthFrames && a?.rate === b?.rate;

/** Both ways of a graph zoomed as one. */
const together = (time: Zoom, way: Zoom): Zoom => ({
  ...time,
  isZoomed: time.isZoomed || way.isZoomed,
  by: (factor) => {
    time.by(factor);
    way.by(factor);
  },
  fit: () => {
    time.fit();
    way.fit();
  },
});

function GraphInHand({ now, height }: { readonly now: TimingNow; readonly height: number }) {
  const { ruler, lengthFrames, move } = now;
  const store = useAppStore();
  const view = useRef<View>(null);
  const [width, setWidth] = useState(0);
  const last = Math.max(lengthFrames, move.marks[move.marks.length - 1]!.frame);
  const whole = useMemo(() => ({ from: 1, to: last }), [last]);
  const wholeWay = useMemo(() => wayRange(ruler), [ruler]);
  const zoom = useZoom(whole);
  const wayZoom = useZoom(wholeWay);
  const { range } = zoom;
  const { range: wayRangeSeen } = wayZoom;
  const axes = useMemo(
    (): GraphAxes => ({
      time: { ...range, start: AXIS_WIDTH, end: Math.max(AXIS_WIDTH + 1, width - RIGHT) },
      way: { ...wayRangeSeen, start: height - PACE_HEIGHT - NUMBERS_HEIGHT - FOOT, end: TOP },
      pace: { foot: height - FOOT, height: PACE_HEIGHT },
    }),
    [range, wayRangeSeen, width, height],
  );
  const [tallestOf] = useState(() => tallestBar(store));
  const frameAt = ({ x }: { readonly x: number }): number => Math.round(valueAt(axes.time, x));
  const take = (start: ViewPointer) => {
    const state = store.getState();
    const present = timingIn(state);
    if (!present) return {};
    if (start.y > axes.way.start + NUMBERS_HEIGHT / 2)
      return paceHold(
        {
          store,
          meaning: ({ x, y }) => ({
            frame: valueAt(axes.time, x),
            increment: ((axes.pace.foot - y) / axes.pace.height) * tallestOf(present.ruler),
          }),
        },
        start,
      );
    const isOnAxis = start.x < AXIS_WIDTH;
    const targets = isOnAxis
      ? rulerTargets(present.ruler, axes.way, 0).map((target) => ({ ...target, x: start.x, y: target.x }))
      : graphTargets(present.ruler, handlesIn(state), axes.time, axes.way);
    const meaning = ({ x, y }: { readonly x: number; readonly y: number }) => ({
      frame: isOnAxis ? null : settled(x, start.x, (value) => valueAt(axes.time, value)),
      place: settled(y, start.y, (value) => valueAt(axes.way, value)),
    });
    const target = targetNear(targets, start.x, start.y, isOnAxis ? 10 : 18);
    const exact = ({ x, y }: { readonly x: number; readonly y: number }) => ({
      frame: valueAt(axes.time, x),
      place: valueAt(axes.way, y),
    });
    return takeViewHold(
      { store, ruler: present.ruler, frameAt, meaning: target?.kind === 'mark' ? meaning : exact },
      target,
      start,
    );
  };
  const gesture = useViewGestures('graph', view, {
    take,
    hovers: (pointer) =>
      pointAt(pointer && pointer.x >= AXIS_WIDTH ? Math.min(last, Math.max(1, frameAt(pointer))) : null),
    pinches: (factor, by, middle, isFirst) => {
      const { time, way } = axes;
      zoom.pinch(factor, valueAt(time, middle.x), valueAt(time, 0) - valueAt(time, by.x), isFirst);
      wayZoom.pinch(factor, valueAt(way, middle.y), valueAt(way, 0) - valueAt(way, by.y), isFirst);
    },
  });
  useWheel(view, ({ x, y }, factor) => {
    if (x < AXIS_WIDTH) wayZoom.by(factor, valueAt(axes.way, y));
    else zoom.by(factor, valueAt(axes.time, x));
  });
  const both = together(zoom, wayZoom);
  const keys = useViewKeys([both]);
  return (
    <View>
      <GestureDetector gesture={gesture} touchAction="none">
        <View
          ref={view}
          collapsable={false}
          testID="distance-graph"
          role="application"
          tabIndex={0}
          aria-label={`Distance over ${last} frames, and the pace as bars`}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height }}
          className="cursor-crosshair"
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
function wayRange({ from, to, length }: UnrolledArc) {
  const room = 0.02 * Math.max(1e-6, to - from, length);
  return { from: from - room, to: to + room };
}

/** The increment that the highest bar may have; it rests while something is held. */
function tallestBar(store: AppStore): (ruler: UnrolledArc) => number {
  let tallest = 0;
  const work = remembered((ruler: UnrolledArc) =>
    ruler.ticks.reduce((most, { along }) => Math.max(most, Math.abs(along ?? 0)), 1e-9),
  );
  return (ruler) => {
    if (tallest === 0 || !calmStoreOf(store).isHeld()) tallest = work(ruler) * PACE_ROOM;
    return tallest;
  };
}

interface DrawingProps {
  readonly now: TimingNow;
  readonly axes: GraphAxes;
  readonly size: { readonly width: number; readonly height: number };
  readonly tallestOf: (ruler: UnrolledArc) => number;
}

const GraphDrawing = memo(function GraphDrawing({ now, axes, size, tallestOf }: DrawingProps) {
  useLiveDrawing();
  const { time, way, pace } = axes;
  const paths = useMemo(() => livePaths(axes, tallestOf), [axes, tallestOf]);
  return (
    <LiveViewContext value="graph">
      <Svg width={size.width} height={size.height}>
        <LivePath path={paths.chosen} fill={colour.brasswash} testID="graph-chosen" />
        <Path
          d={`M${time.start} ${way.start}V${way.end}M${time.start} ${way.start}H${time.end}M${time.start} ${pace.foot}H${time.end}`}
          stroke={colour.line}
          strokeWidth={1}
        />
        <LivePath
          path={paths.projections}
          stroke={colour.indigo}
          strokeWidth={1}
          opacity={0.28}
          testID="graph-projections"
        />
        <LivePath
          path={paths.axisTicks}
          stroke={colour.indigo}
          strokeWidth={1.25}
          testID="graph-axis-ticks"
        />
        <LivePath path={paths.constant} stroke={colour.soft} strokeWidth={1} strokeDasharray="2 4" />
        <LivePath
          path={paths.curve}
          stroke={colour.indigo}
          strokeWidth={2}
          fill="none"
          testID="graph-curve"
        />
        <LivePath path={paths.dots} fill={colour.indigo} testID="graph-dots" />
        <LivePath path={paths.skipped} stroke={colour.soft} strokeWidth={1.5} />
        <LivePath path={paths.byHand} fill={colour.card} stroke={colour.persimmon} strokeWidth={1.5} />
        <LivePath path={paths.bars} fill={colour.indigo} fillOpacity={0.75} testID="pace-bars" />
        <LivePath path={paths.barsBack} fill="none" stroke={colour.indigo} strokeWidth={1.25} />
        <FrameNumbers now={now} axes={axes} />
        <PlaceNumbers now={now} axes={axes} />
        <LiveGroup place={paths.playhead} testID="graph-playhead">
          <Path d={`M0 ${way.end - 6}V${pace.foot}`} stroke={colour.brass} strokeWidth={1.5} />
          <Path d={`M-5 ${way.end - 8}h10l-5 7z`} fill={colour.brass} />
        </LiveGroup>
        <LivePath path={paths.posts} stroke={colour.ink} strokeWidth={2.5} fill="none" testID="graph-posts" />
        <LivePath
          path={paths.selected}
          stroke={colour.brass}
          strokeWidth={5}
          fill="none"
          testID="graph-selected"
        />
        <LivePath path={paths.stems} stroke={colour.brass} strokeWidth={1.25} fill="none" />
        <LivePath
          path={paths.knobs}
          fill={colour.brass}
          stroke={colour.card}
          strokeWidth={1.5}
          testID="graph-knobs"
        />
      </Svg>
    </LiveViewContext>
  );
});

const travelIn = (state: RootState, moveId: string): Travel | undefined =>
  evaluate(state.shot.present.shot!).travels.find(({ move }) => move.id === moveId);

/** What follows by itself in the graph. */
function livePaths(axes: GraphAxes, tallestOf: DrawingProps['tallestOf']) {
  const follow = (work: (ruler: UnrolledArc) => string) => {
    const kept = remembered(work);
    return (state: RootState): string => {
      const ruler = timingIn(state)?.ruler;
      return ruler ? kept(ruler) : '';
    };
  };
  const posts = (isMeant: (isSelected: boolean) => boolean) => {
    const kept = remembered((ruler: UnrolledArc, selected: readonly string[]) =>
      graphPostsPath(ruler, axes, (id) => isMeant(selected.includes(id))),
    );
    return (state: RootState): string => {
      const ruler = timingIn(state)?.ruler;
      return ruler ? kept(ruler, state.hand.selectedMarkIds) : '';
    };
  };
  const bars = (isBackwards: boolean) => {
    const kept = remembered((ruler: UnrolledArc, tallest: number) =>
      barsPath(ruler, axes, tallest, isBackwards),
    );
    return (state: RootState): string => {
      const ruler = timingIn(state)?.ruler;
      return ruler ? kept(ruler, tallestOf(ruler)) : '';
    };
  };
  const curve = remembered((travel: Travel, fieldUnits: number) => curveOf(travel, fieldUnits, axes));
  return {
    curve: (state: RootState): string => {
      const now = timingIn(state);
      const travel = now && travelIn(state, now.move.id);
      return travel ? curve(travel, now.fieldUnits) : '';
    },
    projections: follow((ruler) => projectionsPath(ruler, axes)),
    axisTicks: follow((ruler) => axisTicksPath(ruler, axes)),
    constant: follow((ruler) => constantPath(ruler, axes)),
    dots: follow((ruler) => dotsPath(ruler, axes, false)),
    byHand: follow((ruler) => dotsPath(ruler, axes, true)),
    skipped: follow((ruler) => skippedDotsPath(ruler, axes)),
    posts: posts((isSelected) => !isSelected),
    selected: posts((isSelected) => isSelected),
    bars: bars(false),
    barsBack: bars(true),
    stems: (state: RootState): string => stemsPath(handlesIn(state), axes),
    knobs: (state: RootState): string => knobsPath(handlesIn(state), axes),
    chosen: (state: RootState): string => {
      const now = timingIn(state);
      const chosen = chosenIn(state);
      return now && chosen ? chosenPath(chosen, now.fieldUnits, axes) : '';
    },
    playhead: (): string =>
      isInSight(axes.time, currentFrame())
        ? `translate(${at(axes.time, currentFrame()).toFixed(1)} 0)`
        : 'translate(-100 0)',
  };
}

const NUMBER_ROOM_PX = 26;

/** Frames of marks, and round ones between them where there is room. */
function FrameNumbers({ now: { move }, axes: { time, way } }: Pick<DrawingProps, 'now' | 'axes'>) {
  const selected = useHand(({ selectedMarkIds }) => selectedMarkIds);
  const step = Math.max(1, roundStep(time.to - time.from, (time.end - time.start) / 44));
  const round: number[] = [];
  for (let f = Math.ceil(time.from / step) * step; f <= time.to; f += step) round.push(f);
  const written: { x: number; frame: number; isMark: boolean; isSelected: boolean }[] = [];
  const write = (frame: number, isMark: boolean, isSelected: boolean): void => {
    const x = at(time, frame);
    if (!isInSight(time, frame) || written.some((one) => Math.abs(one.x - x) < NUMBER_ROOM_PX)) return;
    written.push({ x, frame, isMark, isSelected });
  };
  move.marks.filter(({ id }) => selected.includes(id)).forEach(({ frame }) => write(frame, true, true));
  move.marks.forEach(({ frame }) => write(frame, true, false));
  round.forEach((frame) => write(frame, false, false));
  return written.map(({ x, frame, isMark, isSelected }) => (
    <Text
      key={frame}
      x={x}
      y={way.start + 13}
      fontSize={11}
      fontFamily={MONO}
      textAnchor="middle"
      fill={isSelected ? colour.brass : isMark ? colour.ink : colour.soft}
    >
      {String(frame)}
    </Text>
  ));
}

/** Places of posts on the ruler that stands as the axis, where there is room. */
function PlaceNumbers({ now: { ruler }, axes: { time, way } }: Pick<DrawingProps, 'now' | 'axes'>) {
  const written: number[] = [];
  return ruler.posts.map(({ place, markIds }) => {
    const y = at(way, place);
    if (!isInSight(way, place) || written.some((other) => Math.abs(other - y) < 13)) return null;
    written.push(y);
    return (
      <Text
        key={markIds[0]}
        x={time.start - 15}
        y={y + 4}
        fontSize={11}
        fontFamily={MONO}
        textAnchor="end"
        fill={colour.ink}
      >
        {fixed(place, 0)}
      </Text>
    );
  });
}
