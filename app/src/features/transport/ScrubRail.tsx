import { editsIn } from '../../store/selection';
import { type FrameRun, type IncrementTable, incrementTable, lastFrame, type Move } from '@humble/core';
import { memo, useDeferredValue, useRef, useState } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import {
  useThrottledMove,
  useThrottledSelector,
  useAppStore,
  useThrottledEditor,
  useThrottledShot,
  useThrottledShotValue,
} from '../../store/hooks';
import { step, useFrame } from '../../playback/playhead';
import { chosenIn } from '../../store/timingSelection';
import { colour } from '../../ui/colour';
import { keyNudge } from '../../ui/keyNudge';
import { usePointerSession } from '../../render/usePointerSession';
import { along, railSurface, SIDE } from './railSurface';

const HEIGHT = 40;
const BASE = 34;
const TALLEST = 20;
/** Bars closer than this would be a solid band: of a long shot some are left out, pixels. */
const LEAST_APART = 2;

/** Bars at the exposures, as tall as the increments that arrive on them. */
function barsPath(table: IncrementTable, lengthFrames: number, width: number): string {
  const tallest = table.rows.reduce((most, row) => Math.max(most, Math.abs(row.along ?? 0)), 1e-9);
  const every = Math.ceil((table.rows.length * LEAST_APART) / Math.max(1, width - 2 * SIDE));
  return table.rows
    .filter((_, i) => i % every === 0)
    .map((row) => {
      const x = along(row.frame, lengthFrames, width).toFixed(1);
      return `M${x} ${BASE}V${(BASE - 3 - (Math.abs(row.along ?? 0) / tallest) * TALLEST).toFixed(1)}`;
    })
    .join('');
}

function postsPath(marks: Move['marks'], lengthFrames: number, width: number): string {
  return marks
    .map(({ frame, kind }) => {
      const x = along(frame, lengthFrames, width);
      return kind === 'stop'
        ? `M${x} ${BASE + 3}V8M${x - 4} ${BASE + 3}H${x + 4}`
        : `M${x} ${BASE + 3}V24M${x} 18V8`;
    })
    .join('');
}

/** Frames that were chosen, as bands. */
const runsPath = (runs: readonly FrameRun[], lengthFrames: number, width: number): string =>
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
 * The shot from its first frame to its last: exposures, marks, and the playhead to drag. In the Timing step
 * marks can be dragged in time too.
 */
export function ScrubRail() {
  const shotFrames = useThrottledShotValue((shot) => shot.lengthFrames);
  const move = useThrottledMove();
  const canMark = useThrottledSelector(editsIn) === 'timing';
  const [width, setWidth] = useState(0);
  const store = useAppStore();
  const lengthFrames = railFrames(move, shotFrames);
  const rail = useRef<View>(null);
  const drag = usePointerSession(rail, null, railSurface(store, { width, lengthFrames, move, canMark }));
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        ref={rail}
        collapsable={false}
        testID="scrub-rail"
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: HEIGHT + 4 }}
        className="cursor-ew-resize"
      >
        {width > 0 && (
          <>
            <RailDrawing width={width} />
            <Knob width={width} shotFrames={shotFrames} railFrames={lengthFrames} />
          </>
        )}
      </View>
    </GestureDetector>
  );
}

/** The rail follows an edit when the field has: a drag does not wait for it. */
const RailDrawing = memo(function RailDrawing({ width }: { readonly width: number }) {
  const shot = useDeferredValue(useThrottledShot());
  const move = useDeferredValue(useThrottledMove());
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const runs = useThrottledSelector((state) => chosenIn(state)?.runs);
  const isThere = move !== null && shot.moves.includes(move);
  const lengthFrames = railFrames(move, shot.lengthFrames);
  const isSelected = ({ id }: Move['marks'][number]): boolean => selected.includes(id);
  return (
    <Svg width={width} height={HEIGHT + 4} style={{ position: 'absolute' }}>
      {runs && <Path d={runsPath(runs, lengthFrames, width)} fill={colour.brasswash} />}
      <Line x1={SIDE} x2={width - SIDE} y1={BASE} y2={BASE} stroke={colour.soft} strokeWidth={1.5} />
      {isThere && (
        <>
          <Path
            d={barsPath(incrementTable(shot, move), lengthFrames, width)}
            stroke={colour.indigo}
            strokeWidth={1.75}
          />
          <Path
            d={postsPath(move.marks, lengthFrames, width)}
            stroke={colour.ink}
            strokeWidth={2.5}
            fill="none"
          />
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

interface KnobProps {
  readonly width: number;
  readonly shotFrames: number;
  readonly railFrames: number;
}

function Knob({ width, shotFrames, railFrames: whole }: KnobProps) {
  const frame = useFrame();
  const x = along(frame, whole, width);
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label="Frame"
      aria-valuemin={1}
      aria-valuemax={shotFrames}
      aria-valuenow={frame}
      style={{ position: 'absolute', left: x - 22, top: 0, width: 44, height: HEIGHT + 4 }}
      {...keyNudge(step)}
    >
      <Svg width={44} height={HEIGHT + 4}>
        <Line x1={22} x2={22} y1={8} y2={HEIGHT} stroke={colour.brass} strokeWidth={2} />
        <Circle cx={22} cy={8} r={7} fill={colour.brass} />
      </Svg>
    </View>
  );
}
