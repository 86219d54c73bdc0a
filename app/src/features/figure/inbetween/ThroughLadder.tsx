import type { Move, Shot } from '@humble/core';
import {
  type DrawnThrough,
  drawingAt,
  drawingNumber,
  fractionName,
  ladderThrough,
  numberedDrawings,
} from '@humble/core/views';
import { View } from 'react-native';
import { Circle, Path, Text } from 'react-native-svg';
import { firstFrameNumber } from '../../../store/frameNumbers';
import { colour } from '../../../ui/colour';
import { Drawing } from '../../../ui/Drawing';
import { MONO } from '../../../ui/fonts';
import { inbetweenWords as words } from '../../../words/inbetween';

interface ThroughLadderProps {
  readonly shot: Shot;
  readonly move: Move;
  readonly through: DrawnThrough;
}

const WIDTH = 132;
const HEIGHT = 196;
const TOP = 16;
const RAIL = 62;
/** Numbers keep so far from each other, pixels. */
const LINE_PX = 13;

/** The chart of two drawings: keys in a ring, the breakdown underlined, halves and thirds said as such. */
export function ThroughLadder({ shot, move, through }: ThroughLadderProps) {
  const { from, to, rungs } = ladderThrough(shot, move, through);
  const drawings = numberedDrawings(shot, move);
  const isBreakdownOn = (frame: number): boolean => drawingAt(drawings, frame)?.role === 'breakdown';
  const at = (share: number): number => TOP + share * (HEIGHT - 2 * TOP);
  const numberOn = (frame: number): string => {
    const one = drawingAt(drawings, frame);
    return one ? drawingNumber(one, shot, firstFrameNumber()) : '';
  };
  const written = [at(0), at(1)];
  const shown = [...rungs]
    // The breakdown has its number first, whatever stands about it.
    .sort((a, b) => Number(isBreakdownOn(b.frame)) - Number(isBreakdownOn(a.frame)))
    .filter(({ share }) => {
      const isFree = written.every((y) => Math.abs(y - at(share)) >= LINE_PX);
      if (isFree) written.push(at(share));
      return isFree;
    });
  const number = (frame: number, share: number, isKey: boolean) => {
    const text = numberOn(frame);
    const isBreakdown = isBreakdownOn(frame);
    return (
      <Text
        key={frame}
        x={isKey ? RAIL - 36 : RAIL - 22}
        y={at(share) + 4}
        fontSize={12}
        fontFamily={MONO}
        textAnchor={isKey ? 'middle' : 'end'}
        textDecoration={isBreakdown ? 'underline' : 'none'}
        fill={colour.ink}
      >
        {text}
      </Text>
    );
  };
  return (
    <View role="img" aria-label={words.ladder(rungs.length)} testID="through-ladder">
      <Drawing width={WIDTH} height={HEIGHT}>
        <Path d={`M${RAIL} ${at(0)}V${at(1)}`} stroke={colour.ink} strokeWidth={1.25} />
        <Path
          d={[0, 1].map((share) => `M${RAIL - 20} ${at(share)}h40`).join('')}
          stroke={colour.ink}
          strokeWidth={2.5}
        />
        <Path
          d={rungs.map(({ share }) => `M${RAIL - 12} ${at(share)}h24`).join('')}
          stroke={colour.indigo}
          strokeWidth={1.25}
        />
        {[0, 1].map((share) => (
          <Circle
            key={share}
            cx={RAIL - 36}
            cy={at(share)}
            r={12}
            fill="none"
            stroke={colour.ink}
            strokeWidth={1.25}
          />
        ))}
        {number(from.frame, 0, true)}
        {number(to.frame, 1, true)}
        {shown.map(({ frame, share }) => number(frame, share, false))}
        {shown.map(({ frame, share }) => (
          <Text
            key={frame}
            x={RAIL + 24}
            y={at(share) + 4}
            fontSize={11}
            fontFamily={MONO}
            fill={colour.soft}
          >
            {fractionName(share) ?? ''}
          </Text>
        ))}
      </Drawing>
    </View>
  );
}
