import { selectEdits } from '../../../store/selectors/selection';
import { memo, useMemo } from 'react';
import { G } from 'react-native-svg';
import { useSettings } from '../../../store/hooks';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { colour } from '../../../ui/colour';
import { BAND_OPACITY } from '../../../ui/detail';
import { POST_PX } from './arcPaths';
import { livePaths } from './marksPaths';
import { useThrottledSelector } from '../../../store/throttled/hooks';

export const Marks = memo(function Marks() {
  const pixel = usePixel();
  const isShapingArcs = useThrottledSelector(selectEdits) === 'arcs';
  const { showsTrail } = useSettings();
  const paths = useMemo(() => livePaths(pixel), [pixel]);
  if (isShapingArcs || !showsTrail) return null;
  return (
    <G>
      <LivePath
        path={paths.bands}
        fill="none"
        stroke={colour.ink}
        strokeWidth={2 * POST_PX * pixel}
        strokeOpacity={BAND_OPACITY}
      />
      <LivePath path={paths.hairlines} fill="none" stroke={colour.ink} strokeWidth={pixel} />
      <LivePath path={paths.posts} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath
        path={paths.posts}
        fill="none"
        stroke={colour.ink}
        strokeWidth={2.5 * pixel}
        testID="mark-posts"
      />
      <LivePath
        path={paths.selected}
        fill="none"
        stroke={colour.brass}
        strokeWidth={5.5 * pixel}
        testID="selected-posts"
      />
      <LivePath path={paths.skipped} fill="none" stroke={colour.field} strokeWidth={3.5 * pixel} />
      <LivePath
        path={paths.skipped}
        fill="none"
        stroke={colour.soft}
        strokeWidth={1.5 * pixel}
        testID="skipped-crosses"
      />
      <LivePath
        path={paths.lines}
        fill="none"
        stroke={colour.persimmon}
        strokeWidth={1.5 * pixel}
        strokeDasharray={`${4 * pixel} ${3 * pixel}`}
      />
      <LivePath
        path={paths.lozenges}
        fill={colour.field}
        stroke={colour.persimmon}
        strokeWidth={2 * pixel}
        testID="by-hand"
      />
    </G>
  );
});
