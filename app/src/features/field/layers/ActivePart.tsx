import { memo } from 'react';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { selectActiveTravel } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { circlePath } from '../../../ui/circlePath';
import { selectSeenParts } from './partsAtPlayhead';
import { useThrottledEditor } from '../../../store/throttled/hooks';

const RING_PX = 9;

export const ActivePart = memo(function ActivePart() {
  const pixel = usePixel();
  const riderId = useThrottledEditor(({ activeRiderId }) => activeRiderId);
  if (riderId === null) return null;
  const ring = (state: RootState): string => {
    const travel = selectActiveTravel(state);
    const part = travel && selectSeenParts(state, travel).get(riderId);
    return part ? circlePath({ x: part.pivotX, y: part.pivotY }, RING_PX * pixel) : '';
  };
  return (
    <>
      <LivePath path={ring} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath
        path={ring}
        fill="none"
        stroke={colour.brass}
        strokeWidth={2.5 * pixel}
        testID="active-part"
      />
    </>
  );
});
