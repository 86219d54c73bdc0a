import type { Vector } from '@humble/core';
import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { useThrottledEditor } from '../../../store/throttled/hooks';

export function RulerLine() {
  const pixel = usePixel();
  const hasLine = useThrottledEditor(({ measured }) => measured !== null);
  if (!hasLine) return null;
  const line = ({ editor: { measured } }: RootState): string => {
    if (!measured) return '';
    const { from, to } = measured;
    const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    const [ax, ay] = [(-(to.y - from.y) / length) * 8 * pixel, ((to.x - from.x) / length) * 8 * pixel];
    const end = ({ x, y }: Vector): string => `M${x - ax} ${y - ay}L${x + ax} ${y + ay}`;
    return `M${from.x} ${from.y}L${to.x} ${to.y}${end(from)}${end(to)}`;
  };
  return (
    <G>
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath path={line} testID="ruler-line" fill="none" stroke={colour.brass} strokeWidth={2 * pixel} />
    </G>
  );
}
