import { transportWords as words } from '../../words/transport';
import { selectEdits } from '../../store/selectors/selection';
import { lastFrame, type Move, type Shot } from '@humble/core';
import { type FrameRange, type IncrementRow, type IncrementTable, incrementTable } from '@humble/core/views';
import { memo, useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import { useAppStore } from '../../store/hooks';
import { step, useFrame } from '../../playback/playhead';
import { selectPickedRange, selectPassage } from '../../store/selectors/timingSelection';
import { colour } from '../../ui/colour';
import { BAND_OPACITY, byDetail } from '../../ui/detail';
import { keyNudge } from '../../ui/keyNudge';
import { lazyWithRetry } from '../../ui/lazyWithRetry';
import { InteractiveView } from '../../interaction/InteractiveView';
import { railSurface } from './railTargets';
import { along, SIDE } from './railView';
import {
  useThrottledMove,
  useThrottledSelector,
  useThrottledEditor,
  useThrottledShot,
  useThrottledShotValue,
} from '../../store/throttled/hooks';
import { frameNumber } from '../../store/frameNumbers';

const RailExtras = lazyWithRetry(() => import('./RailExtras').then((part) => part.RailExtras));

const HEIGHT = 40;
const BASE = 34;
const TALLEST = 20;
/** Bars at least so far apart are drawn one by one, pixels; closer ones as one shape. */
const BAR_APART_PX = 3;

interface BarPaths {
  readonly bars: string;
  readonly shape: string;
}

function barsOf(table: IncrementTable, lengthFrames: number, width: number): BarPaths {
  const tallest = table.rows.reduce((most, row) => Math.max(most, Math.abs(row.along ?? 0)), 1e-9);
  const x = (row: IncrementRow): number => along(row.frame, lengthFrames, width);
  const top = (row: IncrementRow): number => BASE - 3 - (Math.abs(row.along ?? 0) / tallest) * TALLEST;
  const { rows } = table;
  const [first, last] = [rows[0], rows[rows.length - 1]];
  if (!first || !last) return { bars: '', shape: '' };
  if ((x(last) - x(first)) / rows.length >= BAR_APART_PX)
    return {
      bars: rows.map((row) => `M${x(row).toFixed(1)} ${BASE}V${top(row).toFixed(1)}`).join(''),
      shape: '',
    };
  // Of all that falls on a pixel the highest counts.
  const highest = new Map<number, number>();
  for (const row of rows) {
    const pixel = Math.round(x(row));
    highest.set(pixel, Math.min(highest.get(pixel) ?? BASE, top(row)));
  }
  const line = [...highest].map(([pixel, y]) => `L${pixel} ${y.toFixed(1)}`).join('');
  return { bars: '', shape: `M${x(first).toFixed(1)} ${BASE}${line}L${x(last).toFixed(1)} ${BASE}Z` };
}

const TOP = 8;

function postsOf(marks: Move['marks'], lengthFrames: number, width: number) {
  const x = ({ frame }: Move['marks'][number]): number => along(frame, lengthFrames, width);
  const { full, hairlines, bands } = byDetail(marks, (a, b) => x(b) - x(a));
  return {
    full: postsPath(full, lengthFrames, width),
    hairlines: hairlines.map((mark) => `M${x(mark)} ${BASE + 3}V${TOP}`).join(''),
    bands: bands
      .map((band) => `M${x(band[0]!)} ${BASE + 3}V${TOP}H${x(band[band.length - 1]!) + 1}V${BASE + 3}Z`)
      .join(''),
  };
}

function postsPath(marks: Move['marks'], lengthFrames: number, width: number): string {
  return marks
    .map(({ frame, kind }) => {
      const x = along(frame, lengthFrames, width);
      return kind === 'stop'
        ? `M${x} ${BASE + 3}V${TOP}M${x - 4} ${BASE + 3}H${x + 4}`
        : `M${x} ${BASE + 3}V24M${x} 18V${TOP}`;
    })
    .join('');
}

const runsPath = (runs: readonly FrameRange[], lengthFrames: number, width: number): string =>
  runs
    .map(({ from, until }) => {
      const [left, right] = [along(from, lengthFrames, width), along(until, lengthFrames, width)];
      return `M${left} ${BASE}V12H${Math.max(right, left + 2)}V${BASE}Z`;
    })
    .join('');

/** What the rail shows: the whole shot, and a move that ends one frame past it. */
const railFrames = (move: Move | null, lengthFrames: number): number =>
  move ? Math.max(lengthFrames, lastFrame(move)) : lengthFrames;

/**
 * The shot from its first frame to its last: exposures, marks, the playhead to drag, and the edges of a passage. In
 * the Timing step marks can be dragged in time too.
 */
export function ScrubRail() {
  const shotFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const move = useThrottledMove();
  const edits = useThrottledSelector(selectEdits);
  const canMark = edits === 'timing';
  const posts = canMark ? 'marks' : edits === 'poses' ? 'poses' : null;
  const passage = useThrottledSelector(selectPassage);
  const [width, setWidth] = useState(0);
  const store = useAppStore();
  const lengthFrames = railFrames(move, shotFrames);
  return (
    <InteractiveView
      testID="scrub-rail"
      label={null}
      liveView={null}
      surface={railSurface({ store, width, lengthFrames, move, canMark, posts, passage })}
      height={HEIGHT + 4}
      onWidth={setWidth}
      className="cursor-ew-resize"
    >
      {() => (
        <>
          <RailDrawing width={width} />
          <RailExtras width={width} height={HEIGHT + 4} lengthFrames={lengthFrames} />
          <Knob width={width} shotFrames={shotFrames} railFrames={lengthFrames} />
        </>
      )}
    </InteractiveView>
  );
}

/** The rail follows an edit when the field has: a drag does not wait for it. */
const RailDrawing = memo(function RailDrawing({ width }: { readonly width: number }) {
  const shot = useDeferredValue(useThrottledShot());
  const move = useDeferredValue(useThrottledMove());
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const runs = useThrottledSelector((state) => selectPickedRange(state)?.runs);
  const isThere = move !== null && shot.moves.includes(move);
  const lengthFrames = railFrames(move, shot.lengthFrames);
  const isSelected = ({ id }: Move['marks'][number]): boolean => selected.includes(id);
  const posts = postsOf(isThere ? move.marks : [], lengthFrames, width);
  return (
    <Svg width={width} height={HEIGHT + 4} style={{ position: 'absolute' }} pointerEvents="none">
      {runs && <Path d={runsPath(runs, lengthFrames, width)} fill={colour.brasswash} />}
      <Line x1={SIDE} x2={width - SIDE} y1={BASE} y2={BASE} stroke={colour.soft} strokeWidth={1.5} />
      {isThere && (
        <>
          <Bars move={move} shot={shot} lengthFrames={lengthFrames} width={width} />
          <Path d={posts.bands} fill={colour.ink} fillOpacity={BAND_OPACITY} />
          <Path d={posts.hairlines} stroke={colour.ink} strokeWidth={1} />
          <Path d={posts.full} stroke={colour.ink} strokeWidth={2.5} fill="none" />
          <Path
            d={postsPath(move.marks.filter(isSelected), lengthFrames, width)}
            stroke={colour.brass}
            strokeWidth={4.5}
            fill="none"
          />
        </>
      )}
    </Svg>
  );
});

interface BarsProps {
  readonly shot: Shot;
  readonly move: Move;
  readonly lengthFrames: number;
  readonly width: number;
}

function Bars({ shot, move, lengthFrames, width }: BarsProps) {
  const { bars, shape } = barsOf(incrementTable(shot, move), lengthFrames, width);
  return (
    <>
      <Path d={bars} stroke={colour.indigo} strokeWidth={1.75} />
      <Path d={shape} fill={colour.indigo} fillOpacity={0.45} />
    </>
  );
}

const KNOB = 44;

interface KnobProps {
  readonly width: number;
  readonly shotFrames: number;
  readonly railFrames: number;
}

function Knob({ width, shotFrames, railFrames: whole }: KnobProps) {
  const frame = useFrame();
  const x = along(frame, whole, width);
  // As wide as a finger, and never past the ends of the rail: the page would be wider than its window.
  const left = Math.min(Math.max(0, x - KNOB / 2), Math.max(0, width - KNOB));
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label={words.frame}
      aria-valuemin={frameNumber(1)}
      aria-valuemax={frameNumber(shotFrames)}
      aria-valuenow={frameNumber(frame)}
      style={{ position: 'absolute', left, top: 0, width: KNOB, height: HEIGHT + 4 }}
      {...keyNudge(step)}
    >
      <Svg width={KNOB} height={HEIGHT + 4}>
        <Line x1={x - left} x2={x - left} y1={8} y2={HEIGHT} stroke={colour.brass} strokeWidth={2} />
        <Circle cx={x - left} cy={8} r={7} fill={colour.brass} />
      </Svg>
    </View>
  );
}
