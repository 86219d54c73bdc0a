import { timingWords as words } from '../../../words/timing';
import { RULER_LIVE_VIEW } from './rulerLiveView';
import type { ViewPointer } from '../../../render/pointerSession';
import { useViewPointer } from '../../../playback/useViewPointer';
import { type Move, type Shot } from '@humble/core';
import { extremeIncrements, type IncrementRow, incrementTable, type UnrolledArc } from '@humble/core/views';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import { useAppStore } from '../../../store/hooks';
import { currentFrame } from '../../../playback/playhead';
import { setHoveredFrame } from '../../../playback/hoveredFrame';
import { fixed } from '../../../ui/numbers';
import { useWheel } from '../../../ui/useWheel';
import { NumericText, Words } from '../../../ui/Words';
import { type Axis, valueAt } from '../../../ui/axis';
import { createViewDragHandler } from '../views/viewDrags';
import { useViewKeys } from '../views/useViewKeys';
import { useZoom } from '../views/useZoom';
import { frameNear, arcDistanceAtPlayhead, selectTiming } from '../views/selectTiming';
import { rulerTargets } from './rulerTargets';
import { HEIGHT, RulerDrawing, SIDE } from './RulerDrawing';
import { viewMenu } from '../views/viewMenu';
import { targetNear } from '../views/viewTargets';
import { FitButton } from '../views/ViewTools';
import { useThrottledMove, useThrottledSelector, useThrottledShot } from '../../../store/throttled/hooks';
import { frameNumber } from '../../../store/frameNumbers';

interface RulerProps {
  readonly isWide?: boolean;
  /** What stands under the ruler, along the same axis. @param width pixels */
  readonly under: (axis: Axis, width: number) => ReactNode;
}

/** The arc laid out straight as a ruler, with even ticks above it for comparison. Ticks and posts can be dragged. */
export function RulerView({ isWide = false, under }: RulerProps) {
  const shot = useThrottledShot();
  const move = useThrottledMove();
  const ruler = useThrottledSelector((state) => selectTiming(state)?.ruler ?? null);
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
    const now = selectTiming(store.getState());
    // Above the ticks the needle is dragged; beside them a finger may lie anywhere along the line.
    return now && y > NEEDLE_ZONE ? targetNear(rulerTargets(now.ruler, axis, y), x, y, TAKE_PX) : null;
  };
  const frameAt = ({ x }: { readonly x: number }): number => {
    const now = selectTiming(store.getState());
    return now ? frameNear(now.ruler, valueAt(axis, x), currentFrame()) : currentFrame();
  };
  const gesture = useViewPointer<ViewPointer>(view, RULER_LIVE_VIEW, {
    pointer: (raw) => raw,
    press: (start) => {
      const now = selectTiming(store.getState());
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
