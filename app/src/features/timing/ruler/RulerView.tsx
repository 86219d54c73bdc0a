import { timingWords as words } from '../../../words/timing';
import { RULER_LIVE_VIEW } from './rulerLiveView';
import type { ViewPointer } from '../../../render/pointerSession';
import { usePointerSession } from '../../../render/usePointerSession';
import { frameNumber, type Move, type Shot } from '@humble/core';
import {
  extremeIncrements,
  type IncrementRow,
  incrementTable,
  type Post,
  type UnrolledArc,
} from '@humble/core/views';
import { memo, type ReactNode, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { Path, Text } from 'react-native-svg';
import {
  useThrottledMove,
  useThrottledSelector,
  useAppStore,
  useThrottledEditor,
  useThrottledShot,
} from '../../../store/hooks';
import { LivePath, ChunkedLivePath, LiveViewContext, useLiveDrawing } from '../../../render/livePaths';
import { memoizeLast } from '../../../render/memoizeLast';
import { currentFrame } from '../../../playback/playhead';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import type { RootState } from '../../../store/store';
import { chosenIn } from '../../../store/timingSelection';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY } from '../../../ui/detail';
import { Drawing } from '../../../ui/Drawing';
import { MONO, SANS } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import { useWheel } from '../../../ui/useWheel';
import { NumericText, Words } from '../../../ui/Words';
import { at, type Axis, valueAt } from '../../../ui/axis';
import { followMarks, followRuler, followTicks } from '../views/follow';
import { createViewDragHandler } from '../views/viewDrags';
import {
  BASE,
  byHandPath,
  evenBandPath,
  evenPath,
  incrementLabels,
  LONG,
  postNames,
  postsByDetail,
  postsPath,
  SHORT,
  skippedPath,
  tickBandsPath,
  ticksPath,
} from './rulerPaths';
import { useViewKeys } from '../views/useViewKeys';
import { useZoom } from '../views/useZoom';
import { frameNear, arcDistanceAtPlayhead, timingIn } from '../views/timingIn';
import { rulerTargets } from './rulerTargets';
import { viewMenu } from '../views/viewMenu';
import { targetNear } from '../views/viewTargets';
import { FitButton } from '../views/ViewTools';

const HEIGHT = 134;
const SIDE = 12;

interface RulerProps {
  readonly isWide?: boolean;
  /** What stands under the ruler, along the same axis. @param width pixels */
  readonly under: (axis: Axis, width: number) => ReactNode;
}

/** The arc laid out straight as a ruler, with even ticks above it for comparison. Ticks and posts can be dragged. */
export function RulerView({ isWide = false, under }: RulerProps) {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const ruler = useThrottledSelector((state) => timingIn(state)?.ruler ?? null);
  if (!move || !ruler) return <Words tone="soft">{words.theArcAppearsHereAsA}</Words>;
  return (
    <View>
      <RulerInHand ruler={ruler} under={under} />
      <View pointerEvents="none" className={isWide ? 'absolute right-[88px] top-0' : ''}>
        <Extremes shot={shot} move={move} />
      </View>
    </View>
  );
}

const describe = ({ ticks, to, units }: UnrolledArc): string =>
  words.unrolledArcPositionsOn(ticks.length, fixed(to, 1), units === 'mm' ? 'millimetres' : words.fieldUnits);

function RulerInHand({ ruler, under }: Pick<RulerProps, 'under'> & { readonly ruler: UnrolledArc }) {
  const store = useAppStore();
  const view = useRef<View>(null);
  const [width, setWidth] = useState(0);
  const whole = useMemo(() => ({ from: ruler.from, to: ruler.to }), [ruler.from, ruler.to]);
  const zoom = useZoom(whole);
  const { from, to } = zoom.range;
  const axis: Axis = useMemo(
    () => ({ from, to, start: SIDE, end: Math.max(SIDE + 1, width - SIDE) }),
    [from, to, width],
  );
  const targetAt = (x: number, y: number) => {
    const now = timingIn(store.getState());
    // Above the ticks the needle is dragged; beside them a finger may lie anywhere along the line.
    return now && y > NEEDLE_ZONE ? targetNear(rulerTargets(now.ruler, axis, y), x, y, TAKE_PX) : null;
  };
  const frameAt = ({ x }: { readonly x: number }): number => {
    const now = timingIn(store.getState());
    return now ? frameNear(now.ruler, valueAt(axis, x), currentFrame()) : currentFrame();
  };
  const gesture = usePointerSession<ViewPointer>(view, RULER_LIVE_VIEW, {
    pointer: (raw) => raw,
    press: (start) => {
      const now = timingIn(store.getState());
      if (!now) return {};
      const meaning = ({ x }: { readonly x: number }) => ({ frame: null, arcDistance: valueAt(axis, x) });
      return createViewDragHandler(
        { store, ruler: now.ruler, meaning, frameAt },
        targetAt(start.x, start.y),
        start,
      );
    },
    menu: (at) => viewMenu(store, targetAt(at.x, at.y), frameAt(at)),
    hover: (at) => setHoveredFrame(at && frameAt(at)),
    pinchBegins: zoom.pinchBegins,
    pinch: (factor, by, middle) =>
      zoom.pinch(factor, valueAt(axis, middle.x), valueAt(axis, 0) - valueAt(axis, by.x)),
  });
  useWheel(view, ({ x }, factor) => zoom.by(factor, valueAt(axis, x)));
  const keys = useViewKeys({ by: (factor) => zoom.by(factor, arcDistanceAtPlayhead(ruler)), fit: zoom.fit });
  return (
    <View>
      <GestureDetector gesture={gesture} touchAction="pan-y">
        <View
          ref={view}
          collapsable={false}
          testID="unrolled-arc"
          role="application"
          tabIndex={0}
          aria-label={describe(ruler)}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height: HEIGHT }}
          className="cursor-ew-resize will-change-transform"
          {...keys}
        >
          {width > 0 && <RulerDrawing axis={axis} width={width} ruler={ruler} />}
        </View>
      </GestureDetector>
      {under(axis, width)}
      <View pointerEvents="box-none" className="absolute right-0 top-0">
        <FitButton zoom={zoom} of="ruler" />
      </View>
    </View>
  );
}

/** Down to here a drag looks at other frames, pixels. */
const NEEDLE_ZONE = 42;
/** A tick or a post is taken from so far away, pixels. */
const TAKE_PX = 14;

interface DrawingProps {
  readonly ruler: UnrolledArc;
  readonly axis: Axis;
  readonly width: number;
}

const isSelectedIn =
  (selected: readonly string[]) =>
  ({ markIds }: Post): boolean =>
    markIds.some((id) => selected.includes(id));

const RulerDrawing = memo(function RulerDrawing({ ruler, axis, width }: DrawingProps) {
  useLiveDrawing();
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const paths = useMemo(() => livePaths(axis), [axis]);
  const end = Math.min(at(axis, ruler.to), axis.end);
  return (
    <LiveViewContext value={RULER_LIVE_VIEW}>
      <Drawing width={width} height={HEIGHT}>
        {ruler.even.length > 0 && (
          <Text x={SIDE} y={14} fontSize={12} fontFamily={SANS} fill={colour.soft}>
            {words.evenForComparison}
          </Text>
        )}
        <LivePath path={paths.chosen} fill={colour.brasswash} testID="ruler-chosen" />
        <LivePath path={paths.evenBand} fill={colour.soft} fillOpacity={BAND_OPACITY} />
        <LivePath path={paths.even} stroke={colour.soft} strokeWidth={1} strokeOpacity={0.7} />
        <Path
          d={`M${Math.max(axis.start, at(axis, ruler.from))} ${BASE}H${end}`}
          stroke={colour.ink}
          strokeWidth={1.5}
        />
        <ChunkedLivePath
          paths={paths.tickBands}
          fill={colour.indigo}
          fillOpacity={BAND_OPACITY}
          testID="ruler-tick-bands"
        />
        <ChunkedLivePath paths={paths.short} stroke={colour.indigo} strokeWidth={1.25} testID="ruler-ticks" />
        <ChunkedLivePath
          paths={paths.long}
          stroke={colour.indigo}
          strokeWidth={1.5}
          testID="ruler-long-ticks"
        />
        <LivePath path={paths.skipped} stroke={colour.soft} strokeWidth={1.25} testID="ruler-skipped" />
        <LivePath
          path={paths.byHand}
          stroke={colour.persimmon}
          strokeWidth={1.5}
          strokeDasharray="4 3"
          fill={colour.card}
          testID="ruler-by-hand"
        />
        {incrementLabels(ruler, axis, (along) => fixed(along, 1)).map(({ x, text }) => (
          <Text
            key={x}
            x={x}
            y={BASE - LONG - 6}
            fontSize={11}
            fontFamily={MONO}
            textAnchor="middle"
            fill={colour.indigo}
          >
            {text}
          </Text>
        ))}
        <LivePath path={paths.bands} fill={colour.ink} fillOpacity={BAND_OPACITY} />
        <LivePath path={paths.hairlines} stroke={colour.ink} strokeWidth={1} testID="ruler-hairlines" />
        <LivePath path={paths.posts} stroke={colour.ink} strokeWidth={2.5} fill="none" testID="ruler-posts" />
        <LivePath
          path={paths.selected}
          stroke={colour.brass}
          strokeWidth={4.5}
          fill="none"
          testID="ruler-selected"
        />
        {postNames(ruler, axis, isSelectedIn(selected), width).map(({ x, y, text, isSelected }) => (
          <Text
            key={`${x} ${y}`}
            x={x}
            y={y}
            fontSize={11}
            fontFamily={MONO}
            fontWeight={isSelected ? '600' : '400'}
            textAnchor="middle"
            fill={isSelected ? colour.brass : colour.ink}
          >
            {text}
          </Text>
        ))}
        <LivePath path={paths.needle} stroke={colour.brass} strokeWidth={3.5} testID="ruler-needle" />
        <LivePath path={paths.needleHead} fill={colour.brass} />
      </Drawing>
    </LiveViewContext>
  );
});

/** What follows by itself on the ruler. */
function livePaths(axis: Axis) {
  const needle = (state: RootState, path: (x: string) => string): string => {
    const ruler = timingIn(state)?.ruler;
    return ruler?.ticks.length ? path(at(axis, arcDistanceAtPlayhead(ruler)).toFixed(2)) : '';
  };
  const posts = memoizeLast((ruler: UnrolledArc) => postsByDetail(ruler, axis));
  return {
    short: followTicks((ticks, piece) => ticksPath(ticks, axis, false, piece)),
    long: followTicks((ticks, piece) => ticksPath(ticks, axis, true, piece)),
    tickBands: followTicks((ticks, piece) => tickBandsPath(ticks, axis, piece)),
    even: followRuler((ruler) => evenPath(ruler, axis)),
    evenBand: followRuler((ruler) => evenBandPath(ruler, axis)),
    skipped: followRuler((ruler) => skippedPath(ruler, axis)),
    byHand: followRuler((ruler) => byHandPath(ruler, axis)),
    posts: followRuler((ruler) => posts(ruler).full),
    hairlines: followRuler((ruler) => posts(ruler).hairlines),
    bands: followRuler((ruler) => posts(ruler).bands),
    selected: followMarks((ruler, selected) => postsPath(ruler, axis, isSelectedIn(selected))),
    needle: (state: RootState): string => needle(state, (x) => `M${x} ${BASE}v${-SHORT}`),
    needleHead: (state: RootState): string => needle(state, (x) => `M${x} 34m-6 0h12l-6 8z`),
    chosen: (state: RootState): string => {
      const now = timingIn(state);
      const chosen = chosenIn(state);
      if (!now || !chosen) return '';
      const [a, b] = [chosen.stretch.from, chosen.stretch.to].map((s) => at(axis, s / now.fieldUnits));
      return `M${a} 20H${Math.max(b!, a! + 2)}V${BASE}H${a}Z`;
    },
  };
}

function Extremes({ shot, move }: { readonly shot: Shot; readonly move: Move }) {
  const table = incrementTable(shot, move);
  const { largest, smallest } = extremeIncrements(table);
  if (!largest || !smallest) return null;
  const unit = table.units === 'mm' ? ' mm' : words.units;
  const [most, least] = [largest, smallest].map(({ along }) => fixed(Math.abs(along!), 2));
  if (most === least)
    return (
      <Words tone="soft" testID="extremes">
        {words.everyStep} <NumericText strong>{most}</NumericText>
        {unit}
      </Words>
    );
  // The step that closes a loop leads back to its first picture.
  const frameOf = (row: IncrementRow): string => String(frameNumber(row === table.closing ? 1 : row.frame));
  return (
    <Words tone="soft" testID="extremes">
      {words.largestStep} <NumericText strong>{most}</NumericText>
      {unit} {words.at} {frameOf(largest)} {words.smallest} <NumericText strong>{least}</NumericText>
      {unit} {words.at} {frameOf(smallest)}
    </Words>
  );
}
