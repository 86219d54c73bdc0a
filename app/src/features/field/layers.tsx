import { pathData, type Tick, ticksOf, ticksPath, type Travel, type Shot } from '@humble/core';
import { memo, useDeferredValue } from 'react';
import { G, Path, Rect, Text } from 'react-native-svg';
import { colour } from '../../ui/colour';
import { MONO } from '../../ui/fonts';

/** Everything is drawn in field units; `pixel` is the size of one pixel of the view in them. */
interface LayerProps {
  readonly pixel: number;
}

export const FieldPaper = memo(function FieldPaper({
  width,
  height,
  pixel,
}: LayerProps & { width: number; height: number }) {
  return (
    <Rect
      testID="field-paper"
      x={0}
      y={0}
      width={width}
      height={height}
      fill={colour.field}
      stroke={colour.line}
      strokeWidth={pixel}
    />
  );
});

const SHORT_TICK_PX = 5;
const LONG_TICK_PX = 9;
/** A frame number is written where ticks leave this much room for it, pixels. */
const NUMBER_ROOM_PX = 26;

/** Frame numbers at the longer ticks, as many as there is room for. */
function numbered(ticks: readonly Tick[], pixel: number): Tick[] {
  const chosen: Tick[] = [];
  for (const tick of ticks) {
    if (!tick.isFifth) continue;
    const isFree = chosen.every(({ x, y }) => Math.hypot(x - tick.x, y - tick.y) >= NUMBER_ROOM_PX * pixel);
    if (isFree) chosen.push(tick);
  }
  return chosen;
}

interface GuidesProps extends LayerProps {
  readonly shot: Shot;
  readonly travels: readonly Travel[];
  readonly showsTrail: boolean;
  readonly showsNumbers: boolean;
}

function trailPaths(travel: Travel, shot: Shot, pixel: number): { short: string; long: string } {
  const ticks = ticksOf(travel, shot);
  const some = (isFifth: boolean): Tick[] => ticks.filter((tick) => tick.isFifth === isFifth);
  return {
    short: ticksPath(some(false), SHORT_TICK_PX * pixel),
    long: ticksPath(some(true), LONG_TICK_PX * pixel),
  };
}

/**
 * Arcs, and the trail on them: a hairline across the arc for each exposure, some of them longer. All
 * have an outline in the contrary tone, drawn beneath all of them, so that they read on anything.
 */
export const Guides = memo(function Guides({ shot, travels, pixel, showsTrail, showsNumbers }: GuidesProps) {
  const lines = shot.arcs.map((arc) => ({ id: arc.id, d: pathData(arc) }));
  const trails = showsTrail ? travels.map((travel) => trailPaths(travel, shot, pixel)) : [];
  const halo = trails.map(({ short, long }) => short + long).join('');
  const short = trails.map((trail) => trail.short).join('');
  const long = trails.map((trail) => trail.long).join('');
  return (
    <G>
      {lines.map(({ id, d }) => (
        <Path
          key={id}
          d={d}
          fill="none"
          stroke={colour.field}
          strokeWidth={4.5 * pixel}
          strokeLinecap="round"
        />
      ))}
      <Path d={halo} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />
      {lines.map(({ id, d }) => (
        <Path
          key={id}
          d={d}
          fill="none"
          stroke={colour.indigo}
          strokeWidth={1.75 * pixel}
          strokeLinecap="round"
          testID="arc-line"
        />
      ))}
      <G testID="trail">
        <Path d={short} fill="none" stroke={colour.indigo} strokeWidth={1.25 * pixel} />
        <Path d={long} fill="none" stroke={colour.indigo} strokeWidth={1.5 * pixel} />
      </G>
      {showsTrail && showsNumbers && <FrameNumbers shot={shot} travels={travels} pixel={pixel} />}
    </G>
  );
});

/** A drag does not wait for the numbers. */
const FrameNumbers = memo(function FrameNumbers(latest: LayerProps & Pick<GuidesProps, 'shot' | 'travels'>) {
  const { shot, travels, pixel } = useDeferredValue(latest);
  return travels.flatMap((travel, i) =>
    numbered(ticksOf(travel, shot), pixel).map((tick) => (
      <FrameNumber key={`${i}-${tick.frame}`} tick={tick} pixel={pixel} />
    )),
  );
});

function FrameNumber({
  tick: { frame, x, y, acrossX, acrossY },
  pixel,
}: LayerProps & { readonly tick: Tick }) {
  return (
    <Text
      x={x + acrossX * 20 * pixel}
      y={y + acrossY * 20 * pixel + 4 * pixel}
      fontSize={11 * pixel}
      fontFamily={MONO}
      textAnchor="middle"
      fill={colour.soft}
    >
      {String(frame)}
    </Text>
  );
}

const POST_PX = 13;
const FOOT_PX = 6;

/** A stop is a short post across the arc with a foot; a pass has no foot and is open at the centre. */
function postPath(tick: Tick, kind: 'stop' | 'pass', pixel: number): string {
  const { x, y, acrossX: ax, acrossY: ay } = tick;
  const at = (across: number, along: number): string =>
    `${x + (ax * across + ay * along) * pixel} ${y + (ay * across - ax * along) * pixel}`;
  if (kind === 'pass') return `M${at(-POST_PX, 0)}L${at(-4, 0)}M${at(4, 0)}L${at(POST_PX, 0)}`;
  return `M${at(-POST_PX, 0)}L${at(POST_PX, 0)}M${at(POST_PX, -FOOT_PX)}L${at(POST_PX, FOOT_PX)}`;
}

/** The marks of a move on its arc. */
export const Marks = memo(function Marks({ travel, pixel }: LayerProps & { travel: Travel }) {
  const paths = travel.move.marks.map((mark) => {
    const i = Math.min(mark.frame, travel.place.length) - 1;
    const direction = (travel.direction[i]! * Math.PI) / 180;
    const across = { acrossX: -Math.sin(direction), acrossY: Math.cos(direction) };
    return postPath(
      { frame: mark.frame, place: 0, x: travel.x[i]!, y: travel.y[i]!, isFifth: false, ...across },
      mark.kind,
      pixel,
    );
  });
  const d = paths.join('');
  return (
    <G>
      <Path d={d} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <Path d={d} fill="none" stroke={colour.ink} strokeWidth={2.5 * pixel} />
    </G>
  );
});
