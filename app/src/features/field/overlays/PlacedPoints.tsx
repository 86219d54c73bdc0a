import type { PointShape } from '@humble/core';
import { G, Rect } from 'react-native-svg';
import { placedShape } from '../../../commands/placing';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { currentPointerScene } from '../pointerScene';
import { pathThrough } from './shapes';
import { useThrottledEditor } from '../../../store/throttled/hooks';

export function PlacedPoints() {
  const pixel = usePixel();
  const placed = useThrottledEditor((editor) => (editor.tool === 'points' ? editor.placed : null));
  if (!placed) return null;
  const line = ({ editor }: RootState): string => {
    const { placed } = editor;
    const { pointer, hovered, finger } = currentPointerScene();
    const isAhead = pointer !== null && finger === null && hovered?.kind === 'placing' && placed.length > 0;
    const closes = hovered?.kind === 'placing' && hovered.closes;
    const still = { x: 0, y: 0 };
    const next: PointShape[] =
      isAhead && !closes
        ? [{ ...pointer, in: still, out: still, kind: 'smooth', shaping: placed[0]!.shaping ?? null }]
        : [];
    const points = [...placed, ...next];
    return points.length > 1 ? pathThrough(placedShape(points, closes), closes) : '';
  };
  return (
    <G testID="placed">
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath path={line} fill="none" stroke={colour.indigo} strokeWidth={2 * pixel} />
      <LivePath
        path={({ editor }) => stems(editor.placed)}
        fill="none"
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
      />
      {placed.map(({ x, y }, i) => (
        <Rect
          key={i}
          testID={`placed-${i + 1}`}
          x={x - 4.5 * pixel}
          y={y - 4.5 * pixel}
          width={9 * pixel}
          height={9 * pixel}
          fill={i === placed.length - 1 ? colour.brass : colour.field}
          stroke={i === 0 ? colour.brass : colour.indigo}
          strokeWidth={1.75 * pixel}
        />
      ))}
    </G>
  );
}

const stems = (placed: readonly PointShape[]): string =>
  placed
    .filter((point) => point.kind === 'even')
    .map((p) => `M${p.x + p.in.x} ${p.y + p.in.y}L${p.x + p.out.x} ${p.y + p.out.y}`)
    .join('');
