import { selectEdits } from '../../../store/selectors/selection';
import { useMemo } from 'react';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { colour } from '../../../ui/colour';
import { livePaths } from './marksPaths';
import { useThrottledSelector } from '../../../store/throttled/hooks';

export function ChosenStretch() {
  const pixel = usePixel();
  const paths = useMemo(() => livePaths(pixel), [pixel]);
  const isShapingArcs = useThrottledSelector(selectEdits) === 'arcs';
  if (isShapingArcs) return null;
  return (
    <LivePath
      path={paths.chosen}
      fill="none"
      stroke={colour.brass}
      strokeOpacity={0.35}
      strokeWidth={14 * pixel}
      strokeLinecap="round"
      testID="chosen-stretch"
    />
  );
}
