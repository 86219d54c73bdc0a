import {
  extremeIncrements,
  incrementTable,
  type Move,
  type Shot,
  type UnrolledArc as Ruler,
  unrolledArc,
} from '@humble/core';
import { memo, useMemo, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { G, Line, Path, Text } from 'react-native-svg';
import { useActiveMove, useShot } from '../../state/hooks';
import { currentFrame, goTo, useFrame } from '../../state/playhead';
import { colour } from '../../ui/colour';
import { MONO, SANS } from '../../ui/fonts';
import { fixed } from '../../ui/numbers';
import { useLive } from '../../ui/useLive';
import { Figures, Words } from '../../ui/Words';
import { incrementLabels, nearestTick, type RulerScale, scaleOf } from './rulerScale';

const HEIGHT = 128;
const BASE = 92;
const SHORT = 22;
const LONG = 36;
const POST_TOP = 44;

/** The arc laid out straight as a ruler, with even ticks above it for comparison. */
export function UnrolledArc() {
  const shot = useShot();
  const move = useActiveMove();
  const [width, setWidth] = useState(0);
  const ruler = useMemo(() => move && unrolledArc(shot, move), [shot, move]);
  const scale = useMemo(() => ruler && scaleOf(ruler, width), [ruler, width]);
  const live = useLive({ ruler, scale });
  const drag = useMemo(() => {
    const scrub = ({ x }: { x: number }): void => {
      const now = live();
      if (now.ruler && now.scale) goTo(nearestTick(now.ruler, now.scale, x, currentFrame()));
    };
    return Gesture.Pan().runOnJS(true).minDistance(0).onBegin(scrub).onUpdate(scrub);
  }, [live]);
  if (!move || !ruler)
    return <Words tone="soft">The arc lies here as a ruler once something travels on it.</Words>;
  return (
    <View>
      <GestureDetector gesture={drag} touchAction="pan-y">
        <View
          collapsable={false}
          testID="unrolled-arc"
          role="img"
          aria-label={describe(ruler)}
          onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}
          style={{ height: HEIGHT }}
          className="cursor-ew-resize"
        >
          {scale && width > 0 && (
            <>
              <RulerDrawing ruler={ruler} scale={scale} width={width} />
              <Needle ruler={ruler} scale={scale} width={width} />
            </>
          )}
        </View>
      </GestureDetector>
      <Extremes shot={shot} move={move} />
    </View>
  );
}

const describe = ({ ticks, to, units }: Ruler): string =>
  `Unrolled arc: ${ticks.length} positions on ${fixed(to, 1)} ${units === 'mm' ? 'millimetres' : 'field units'}`;

interface DrawingProps {
  readonly ruler: Ruler;
  readonly scale: RulerScale;
  readonly width: number;
}

const RulerDrawing = memo(function RulerDrawing({ ruler, scale, width }: DrawingProps) {
  const ticks = (isLong: boolean, height: number): string =>
    ruler.ticks
      .filter((tick) => tick.isFifth === isLong)
      .map(({ place }) => `M${scale.at(place).toFixed(2)} ${BASE}v${-height}`)
      .join('');
  const even = ruler.even.map((place) => `M${scale.at(place).toFixed(2)} 22v10`).join('');
  return (
    <Svg width={width} height={HEIGHT} style={{ position: 'absolute' }}>
      {ruler.even.length > 0 && (
        <Text x={scale.at(ruler.from)} y={14} fontSize={12} fontFamily={SANS} fill={colour.soft}>
          even, for comparison
        </Text>
      )}
      <Path d={even} stroke={colour.soft} strokeWidth={1} opacity={0.7} />
      <Line
        x1={scale.at(ruler.from)}
        x2={scale.at(ruler.to)}
        y1={BASE}
        y2={BASE}
        stroke={colour.ink}
        strokeWidth={1.5}
      />
      <Path d={ticks(false, SHORT)} stroke={colour.indigo} strokeWidth={1.25} />
      <Path d={ticks(true, LONG)} stroke={colour.indigo} strokeWidth={1.5} />
      {incrementLabels(ruler, scale).map(({ x, text }) => (
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
      {ruler.posts.map((post) => (
        <Post key={post.frame} post={post} scale={scale} width={width} />
      ))}
    </Svg>
  );
});

function Post({
  post: { frame, untilFrame, place, kind },
  scale,
  width,
}: {
  post: Ruler['posts'][number];
  scale: RulerScale;
  width: number;
}) {
  const x = scale.at(place);
  const text = frame === untilFrame ? String(frame) : `${frame}–${untilFrame} hold`;
  const half = text.length * 3.4;
  const d =
    kind === 'stop'
      ? `M${x} ${POST_TOP}V${BASE + 5}M${x - 5} ${BASE + 5}h10`
      : `M${x} ${POST_TOP}V${BASE - 12}M${x} ${BASE - 6}V${BASE + 5}`;
  return (
    <G>
      <Path d={d} stroke={colour.ink} strokeWidth={2.5} fill="none" />
      <Text
        x={Math.min(width - half, Math.max(half, x))}
        y={BASE + 24}
        fontSize={11}
        fontFamily={MONO}
        textAnchor="middle"
        fill={colour.ink}
      >
        {text}
      </Text>
    </G>
  );
}

/** The place that is seen at the playhead. */
function Needle({ ruler, scale, width }: DrawingProps) {
  const frame = useFrame();
  let seen = ruler.ticks[0];
  for (const tick of ruler.ticks) if (tick.frame <= frame) seen = tick;
  if (!seen) return null;
  const x = scale.at(seen.place);
  return (
    <Svg width={width} height={HEIGHT} style={{ position: 'absolute' }}>
      <Line x1={x} x2={x} y1={BASE} y2={BASE - SHORT} stroke={colour.brass} strokeWidth={3.5} />
      <Path d={`M${x - 6} 34h12l-6 8z`} fill={colour.brass} />
    </Svg>
  );
}

function Extremes({ shot, move }: { readonly shot: Shot; readonly move: Move }) {
  const table = incrementTable(shot, move);
  const { largest, smallest } = extremeIncrements(table);
  if (!largest || !smallest) return null;
  const unit = table.units === 'mm' ? ' mm' : ' units';
  return (
    <Words tone="soft" testID="extremes">
      Largest step <Figures strong>{fixed(Math.abs(largest.along!), 2)}</Figures>
      {unit} at {String(largest.frame)} · smallest{' '}
      <Figures strong>{fixed(Math.abs(smallest.along!), 2)}</Figures>
      {unit} at {String(smallest.frame)}
    </Words>
  );
}
