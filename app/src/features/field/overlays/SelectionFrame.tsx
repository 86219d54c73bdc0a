import type { Vector } from '@humble/core';
import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import type { SelectionGrip } from '../selectionBox';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { polyline } from './shapes';
import { circlePath } from '../../../ui/circlePath';
import { useThrottledSelector } from '../../../store/throttled/hooks';

export type GripsOf = (state: RootState) => {
  readonly grips: readonly SelectionGrip[];
  readonly corners: readonly Vector[];
};

export function SelectionFrame({ grips }: { readonly grips: GripsOf }) {
  const pixel = usePixel();
  const hasFrame = useThrottledSelector((state) => grips(state).grips.length > 0);
  if (!hasFrame) return null;
  const outline = (state: RootState): string => `${polyline(grips(state).corners)}Z`;
  return (
    <G testID="selection-frame">
      <LivePath path={outline} fill="none" stroke={colour.field} strokeWidth={3 * pixel} />
      <LivePath
        path={outline}
        fill="none"
        stroke={colour.brass}
        strokeWidth={1.25 * pixel}
        strokeDasharray={[5 * pixel, 4 * pixel]}
      />
      <LivePath
        path={(state) => gripsPath(grips(state).grips, pixel)}
        fill={colour.card}
        stroke={colour.brass}
        strokeWidth={1.75 * pixel}
      />
    </G>
  );
}

/** Scaling grips are squares, the turning one a ring with a ring, the moving one a ring with a cross. */
function gripsPath(grips: readonly SelectionGrip[], pixel: number): string {
  return grips
    .map(({ grip, at }) => {
      if (grip === 'scale') {
        const half = 6 * pixel;
        return `M${at.x - half} ${at.y - half}h${2 * half}v${2 * half}h${-2 * half}z`;
      }
      const arm = 5 * pixel;
      const sign =
        grip === 'turn'
          ? circlePath(at, 4 * pixel)
          : `M${at.x - arm} ${at.y}h${2 * arm}M${at.x} ${at.y - arm}v${2 * arm}`;
      return circlePath(at, 10 * pixel) + sign;
    })
    .join('');
}
