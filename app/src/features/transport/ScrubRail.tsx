import { type IncrementTable, incrementTable, type Move } from '@humble/core';
import { memo, useDeferredValue, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import { useShot, useShotValue } from '../../state/hooks';
import { goTo, step, useFrame } from '../../state/playhead';
import { colour } from '../../ui/colour';
import { keyNudge } from '../../ui/keyNudge';
import { useLive } from '../../ui/useLive';

const HEIGHT = 40;
const BASE = 34;
const TALLEST = 20;
const SIDE = 14;
/** Bars closer than this would be a solid band: of a long shot some are left out, pixels. */
const LEAST_APART = 2;

/** Where a frame stands on the rail, pixels. */
const along = (frame: number, lengthFrames: number, width: number): number =>
  SIDE + ((frame - 1) / Math.max(1, lengthFrames - 1)) * (width - 2 * SIDE);

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

function postsPath(move: Move, lengthFrames: number, width: number): string {
  return move.marks
    .map(({ frame, kind }) => {
      const x = along(frame, lengthFrames, width);
      return kind === 'stop'
        ? `M${x} ${BASE + 3}V8M${x - 4} ${BASE + 3}H${x + 4}`
        : `M${x} ${BASE + 3}V24M${x} 18V8`;
    })
    .join('');
}

/** The shot from its first frame to its last: exposures, marks, and the playhead to drag. */
export function ScrubRail() {
  const lengthFrames = useShotValue((shot) => shot.lengthFrames);
  const [width, setWidth] = useState(0);
  const live = useLive({ width, lengthFrames });
  const drag = useMemo(() => {
    const scrub = ({ x }: { x: number }): void => {
      const { width: whole, lengthFrames: length } = live();
      goTo(1 + ((x - SIDE) / Math.max(1, whole - 2 * SIDE)) * (length - 1));
    };
    return Gesture.Pan().runOnJS(true).minDistance(0).onBegin(scrub).onUpdate(scrub);
  }, [live]);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        collapsable={false}
        testID="scrub-rail"
        onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
        style={{ height: HEIGHT + 4 }}
        className="cursor-ew-resize"
      >
        {width > 0 && (
          <>
            <RailDrawing width={width} />
            <Knob width={width} lengthFrames={lengthFrames} />
          </>
        )}
      </View>
    </GestureDetector>
  );
}

/** The rail follows an edit when the field has: a drag does not wait for it. */
const RailDrawing = memo(function RailDrawing({ width }: { readonly width: number }) {
  const shot = useDeferredValue(useShot());
  const move = shot.moves[0] ?? null;
  const { lengthFrames } = shot;
  return (
    <Svg width={width} height={HEIGHT + 4} style={{ position: 'absolute' }}>
      <Line x1={SIDE} x2={width - SIDE} y1={BASE} y2={BASE} stroke={colour.soft} strokeWidth={1.5} />
      {move && (
        <>
          <Path
            d={barsPath(incrementTable(shot, move), lengthFrames, width)}
            stroke={colour.indigo}
            strokeWidth={1.75}
          />
          <Path d={postsPath(move, lengthFrames, width)} stroke={colour.ink} strokeWidth={2.5} fill="none" />
        </>
      )}
    </Svg>
  );
});

function Knob({ width, lengthFrames }: { readonly width: number; readonly lengthFrames: number }) {
  const frame = useFrame();
  const x = along(frame, lengthFrames, width);
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label="Frame"
      aria-valuemin={1}
      aria-valuemax={lengthFrames}
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
