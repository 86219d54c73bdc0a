import { evaluate, type Travel } from '@humble/core';
import { currentFrame } from '../../../playback/playhead';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { visibleTravels } from '../layers/arcPaths';

function linkOf({ x, y, pivotX, pivotY, shown }: Travel): string {
  if (pivotX === x) return '';
  const i = shown[Math.min(currentFrame(), shown.length) - 1]! - 1;
  return pivotX[i] === x[i] && pivotY[i] === y[i] ? '' : `M${x[i]} ${y[i]}L${pivotX[i]} ${pivotY[i]}`;
}

function links({ shot: { present }, editor }: RootState): string {
  const { shot } = present;
  if (!shot || evaluate(shot).travels.length === 0) return '';
  return visibleTravels(shot, editor.soloFigureId).map(linkOf).join('');
}

export function OffsetLinks() {
  const pixel = usePixel();
  const line = { path: links, fill: 'none' } as const;
  return (
    <>
      <LivePath {...line} stroke={colour.field} strokeWidth={3.5 * pixel} strokeOpacity={0.8} />
      <LivePath
        {...line}
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
        strokeDasharray={[4 * pixel, 3 * pixel]}
        testID="offset-links"
      />
    </>
  );
}
