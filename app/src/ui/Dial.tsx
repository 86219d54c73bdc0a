import { uiWords as words } from '../words/ui';
import { useMemo } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Line } from 'react-native-svg';
import { colour } from './colour';
import { createUndoGroup } from './undoGroup';
import { keyNudge } from './keyNudge';
import { useLatest } from './useLatest';

interface DialProps {
  readonly label: string;
  readonly valueDeg: number;
  /** @param undoGroup the same for every change of one drag */
  readonly onChange: (valueDeg: number, undoGroup?: string) => void;
}

const SIZE = 112;
const RADIUS = SIZE / 2;
/** Whole right angles hold the pointer within this many degrees. */
const DETENT_DEG = 4;

function settled(angleDeg: number): number {
  const whole = Math.round(angleDeg);
  const quarter = Math.round(whole / 90) * 90;
  return Math.abs(whole - quarter) <= DETENT_DEG ? quarter : whole;
}

/** An angle by hand: the brass pointer follows the finger, 0° points to the right, clockwise is positive. */
export function Dial({ label, valueDeg, onChange }: DialProps) {
  const live = useLatest({ valueDeg, onChange });
  const drag = useMemo(() => {
    const angle = (x: number, y: number): number => (Math.atan2(y - RADIUS, x - RADIUS) * 180) / Math.PI;
    const held = { name: '', last: 0, reached: 0 };
    return Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .onBegin(({ x, y }) => {
        Object.assign(held, { name: createUndoGroup('dial'), last: angle(x, y), reached: live().valueDeg });
      })
      .onUpdate(({ x, y }) => {
        const now = angle(x, y);
        held.reached += ((now - held.last + 540) % 360) - 180;
        held.last = now;
        const next = settled(held.reached);
        if (next !== live().valueDeg) live().onChange(next, held.name);
      });
  }, [live]);
  const ticks = Array.from({ length: 24 }, (_, i) => i * 15);
  return (
    <GestureDetector gesture={drag} touchAction="none">
      <View
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuenow={Math.round(valueDeg)}
        aria-valuetext={words.degrees(Math.round(valueDeg))}
        style={{ width: SIZE, height: SIZE }}
        className="cursor-grab"
        {...keyNudge((by) => onChange(Math.round(valueDeg) + by))}
      >
        <Svg width={SIZE} height={SIZE} viewBox={`${-RADIUS} ${-RADIUS} ${SIZE} ${SIZE}`}>
          <Circle r={RADIUS - 2} fill={colour.ground} stroke={colour.line} />
          {ticks.map((tick) => (
            <Line
              key={tick}
              x1={RADIUS - (tick % 90 === 0 ? 14 : 8)}
              x2={RADIUS - 4}
              y1={0}
              y2={0}
              stroke={colour.soft}
              strokeWidth={tick % 90 === 0 ? 1.5 : 1}
              transform={`rotate(${tick})`}
            />
          ))}
          <G transform={`rotate(${valueDeg})`}>
            <Line
              x1={-8}
              x2={RADIUS - 18}
              y1={0}
              y2={0}
              stroke={colour.brass}
              strokeWidth={3}
              strokeLinecap="round"
            />
            <Circle cx={RADIUS - 22} r={6} fill={colour.brass} />
          </G>
          <Circle r={4} fill={colour.ink} />
        </Svg>
      </View>
    </GestureDetector>
  );
}
