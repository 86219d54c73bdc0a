import { View } from 'react-native';
import Svg, { Circle, G, Use } from 'react-native-svg';
import { colour } from '../../ui/colour';
import { HELD_PART, transformOf } from './FieldDrawing';
import { useScene } from './scene';
import type { Projection } from './viewport';

const SIZE = 112;
const ZOOM = 1.6;
/** Room between the finger and the loupe, pixels. */
const ABOVE = 76;

interface LoupeProps {
  readonly projection: Projection;
  readonly width: number;
}

/** What lies beneath the finger, shown again above it; beside it where there is no room above. */
export function Loupe({ projection, width }: LoupeProps) {
  const finger = useScene((scene) => scene.finger);
  if (!finger) return null;
  const isHigh = finger.y < ABOVE + SIZE / 2;
  const x = isHigh
    ? finger.x > width / 2
      ? finger.x - ABOVE - SIZE / 2
      : finger.x + ABOVE + SIZE / 2
    : finger.x;
  const left = Math.min(width - SIZE - 4, Math.max(4, x - SIZE / 2));
  const top = isHigh ? 4 : finger.y - ABOVE - SIZE / 2;
  const half = SIZE / 2;
  return (
    <View
      testID="loupe"
      pointerEvents="none"
      style={{ left, top, width: SIZE, height: SIZE }}
      className="absolute overflow-hidden rounded-full border-2 border-brass bg-field"
    >
      <Svg width={SIZE} height={SIZE} viewBox={`0 0 ${SIZE} ${SIZE}`}>
        <G transform={`translate(${half} ${half}) scale(${ZOOM}) translate(${-finger.x} ${-finger.y})`}>
          <G transform={transformOf(projection)}>
            <Use href={`#${HELD_PART}`} />
          </G>
        </G>
        <Circle cx={half} cy={half} r={3} fill="none" stroke={colour.persimmon} strokeWidth={1.25} />
      </Svg>
    </View>
  );
}
