import { G } from 'react-native-svg';
import { useThrottledEditor } from '../../../store/hooks';
import { aboutIn } from '../../../store/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { LivePath, usePixel } from '../../../render/livePaths';
import { circlePath } from './shapes';

/** About what the selection turns and scales. */
export function Centre() {
  const pixel = usePixel();
  const isShown = useThrottledEditor(
    ({ selectedPointIds, about }) => selectedPointIds.length > 1 && about !== 'middle',
  );
  if (!isShown) return null;
  const cross = (state: RootState): string => {
    const about = aboutIn(state);
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
