import { type Move } from '@humble/core';
import { G, Text } from 'react-native-svg';
import { at, type Axis, isInSight, roundStep } from '../../../ui/axis';
import { colour } from '../../../ui/colour';
import { labelRow } from '../../../ui/detail';
import { MONO } from '../../../ui/fonts';
import { fixed } from '../../../ui/numbers';
import type { TimingNow } from '../targets/selectTiming';
import type { GraphAxes } from './graphAxes';
import { useThrottledEditor } from '../../../store/throttled/hooks';
import { frameNumber, frameNumbered } from '../../../store/frameNumbers';

interface NumbersProps {
  readonly now: TimingNow;
  readonly axes: GraphAxes;
}

/** Numbers stand so far beneath the ground of the graph, pixels. */
export const NUMBER_BASE = 21;

/** Width of a digit of the numbers, pixels. */
const DIGIT_PX = 6.7;
/** Lines of the numbers beside the axis keep so far from each other, pixels. */
const LINE_PX = 16;

/** Frames of marks, and round ones between them where there is room; under bars that stand beside the graph, too. */
export function FrameNumbers({ now: { move }, axes: { time, distance, pace } }: NumbersProps) {
  const selected = useThrottledEditor(({ selectedMarkIds }) => selectedMarkIds);
  const base = distance.start + NUMBER_BASE;
  return (pace.isBeside ? [time, pace.time] : [time]).map((axis) => (
    <G key={axis.start}>
      {numbersOn(axis, move, selected).map(({ x, frame, tone }) => (
        <Text
          key={frame}
          x={x}
          y={base}
          fontSize={11}
          fontFamily={MONO}
          textAnchor="middle"
          fill={colour[tone]}
        >
          {String(frameNumber(frame))}
        </Text>
      ))}
    </G>
  ));
}

interface FrameNumber {
  readonly x: number;
  readonly frame: number;
  readonly tone: 'brass' | 'ink' | 'soft';
}

/** Marks that are selected come first, then stops, passes, and round numbers: each where there is room still. */
function numbersOn(time: Axis, move: Move, selected: readonly string[]): readonly FrameNumber[] {
  const step = Math.max(1, roundStep(time.to - time.from, (time.end - time.start) / 44));
  const hasRoom = labelRow(DIGIT_PX);
  const written: FrameNumber[] = [];
  const write = (frame: number, tone: FrameNumber['tone']): void => {
    const x = at(time, frame);
    if (isInSight(time, frame) && hasRoom(x, String(frameNumber(frame)))) written.push({ x, frame, tone });
  };
  const { marks } = move;
  marks.filter(({ id }) => selected.includes(id)).forEach(({ frame }) => write(frame, 'brass'));
  marks.filter(({ kind }) => kind === 'stop').forEach(({ frame }) => write(frame, 'ink'));
  marks.filter(({ kind }) => kind === 'pass').forEach(({ frame }) => write(frame, 'ink'));
  // Round as they are read, not as they are counted inside.
  const firstRound = Math.ceil(frameNumber(time.from) / step) * step;
  for (let f = frameNumbered(firstRound); f <= time.to; f += step) write(f, 'soft');
  return written;
}

export function PlaceNumbers({ now: { ruler }, axes: { time, distance } }: NumbersProps) {
  const written: number[] = [];
  return ruler.posts.map(({ arcDistance, markIds }) => {
    const y = at(distance, arcDistance);
    if (!isInSight(distance, arcDistance) || written.some((other) => Math.abs(other - y) < LINE_PX))
      return null;
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
        {fixed(arcDistance, 0)}
      </Text>
    );
  });
}
