import { editsIn } from '../../../store/selection';
import { useMemo } from 'react';
import { useThrottledSelector } from '../../../store/hooks';
import { LivePath, usePixel } from '../../../render/livePaths';
import { colour } from '../../../ui/colour';
import { livePaths } from './marksPaths';

/** The stretch that was chosen, beneath the arcs. */
export function ChosenStretch() {
  const pixel = usePixel();
  const paths = useMemo(() => livePaths(pixel), [pixel]);
  const isShapingArcs = useThrottledSelector(editsIn) === 'arcs';
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
