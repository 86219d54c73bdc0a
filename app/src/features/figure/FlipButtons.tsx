import type { FlipWay, Transform } from '@humble/core';
import { figureOn } from '@humble/core/views';
import { Pressable, View } from 'react-native';
import { shallowEqual } from 'react-redux';
import Svg, { G } from 'react-native-svg';
import { useThrottledFrame } from '../../playback/playhead';
import { useEdit } from '../../store/hooks';
import { selectActiveTravel } from '../../store/selectors/selection';
import { useThrottledSelector } from '../../store/throttled/hooks';
import { Words } from '../../ui/Words';
import { figureWords as words } from '../../words/figure';
import { LookShapes } from './LookPicture';

const WAYS: readonly { readonly way: FlipWay; readonly label: string }[] = [
  { way: 'left-right', label: words.flipLeftRight },
  { way: 'upside-down', label: words.flipUpsideDown },
];

/** Side of a picture, and how much of it the figure takes, pixels. */
const SIDE_PX = 56;
const FIGURE_PX = 44;

/** Both ways to flip the figure, as it would look on this frame. */
export function FlipButtons({ moveId }: { readonly moveId: string }) {
  const edit = useEdit();
  return (
    <View className="flex-row gap-2">
      {WAYS.map(({ way, label }) => (
        <Pressable
          key={way}
          role="button"
          aria-label={label}
          onPress={() => edit('flipFigure', { moveId, way })}
          className="min-h-[44px] flex-1 flex-row items-center gap-2 rounded-large border border-line bg-card px-2 py-1"
        >
          <Flipped way={way} />
          <Words className="shrink">{label}</Words>
        </Pressable>
      ))}
    </View>
  );
}

function Flipped({ way }: { readonly way: FlipWay }) {
  const frame = useThrottledFrame();
  const figure = useThrottledSelector((state) => {
    const travel = selectActiveTravel(state);
    if (!travel) return null;
    const { look, placement } = figureOn(travel, travel.shown[Math.min(frame, travel.x.length) - 1]! - 1);
    const { a, b, c, d } = placement;
    return { look, a, b, c, d };
  }, shallowEqual);
  if (!figure) return null;
  const { look } = figure;
  const { a, b, c, d } = inSquare(figure, way, look);
  return (
    <Svg width={SIDE_PX} height={SIDE_PX} viewBox={`${-SIDE_PX / 2} ${-SIDE_PX / 2} ${SIDE_PX} ${SIDE_PX}`}>
      <G transform={`matrix(${a} ${b} ${c} ${d} 0 0) translate(${-look.width / 2} ${-look.height / 2})`}>
        <LookShapes look={look} />
      </G>
    </Svg>
  );
}

type Linear = Pick<Transform, 'a' | 'b' | 'c' | 'd'>;

/** How a figure stands, flipped, and as large as the picture has room for. */
function inSquare(
  { a, b, c, d }: Linear,
  way: FlipWay,
  { width, height }: { readonly width: number; readonly height: number },
): Linear {
  const [x, y] = way === 'left-right' ? [-1, 1] : [1, -1];
  const seen = Math.max(
    Math.abs(a) * width + Math.abs(c) * height,
    Math.abs(b) * width + Math.abs(d) * height,
  );
  const k = seen > 0 ? FIGURE_PX / seen : 0;
  return { a: x * a * k, b: y * b * k, c: x * c * k, d: y * d * k };
}
