import { currentFrame } from '../../../playback/playhead';
import { G } from 'react-native-svg';
import { selectTransformCentre } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { circlePath } from '../../../ui/circlePath';
import { useThrottledEditor } from '../../../store/throttled/hooks';

export function Centre() {
  const pixel = usePixel();
  const isShown = useThrottledEditor(
    ({ selectedPointIds, about }) => selectedPointIds.length > 1 && about !== 'middle',
  );
  if (!isShown) return null;
  const cross = (state: RootState): string => {
    const about = selectTransformCentre(state, currentFrame());
    if (!about) return '';
    const arm = 9 * pixel;
    return `M${about.x - arm} ${about.y}h${2 * arm}M${about.x} ${about.y - arm}v${2 * arm}${circlePath(about, 5 * pixel)}`;
  };
  return (
    <G>
      <LivePath path={cross} fill="none" stroke={colour.field} strokeWidth={4 * pixel} />
      <LivePath path={cross} testID="centre" fill="none" stroke={colour.plum} strokeWidth={1.75 * pixel} />
    </G>
  );
}
