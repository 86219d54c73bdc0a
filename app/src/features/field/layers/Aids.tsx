import { G } from 'react-native-svg';
import { useSettings } from '../../../store/hooks';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { arrowsPath, combPath } from './arcPaths';
import { selectActiveArc } from '../../../store/selectors/active';

export function Aids() {
  const { showsArrows, showsComb } = useSettings();
  const pixel = usePixel();
  const activeArc = (state: RootState) => {
    const arc = selectActiveArc(state);
    return arc && !arc.hidden ? arc : null;
  };
  const arrows = (state: RootState): string => {
    const arc = activeArc(state);
    return arc ? arrowsPath(arc, pixel) : '';
  };
  const comb = (state: RootState): string => {
    const arc = activeArc(state);
    return arc ? combPath(arc, pixel) : '';
  };
  return (
    <G>
      {showsComb && (
        <LivePath
          path={comb}
          fill="none"
          stroke={colour.cool}
          strokeWidth={pixel}
          opacity={0.8}
          testID="comb"
        />
      )}
      {showsArrows && (
        <G testID="arrows">
          <LivePath path={arrows} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
          <LivePath path={arrows} fill="none" stroke={colour.indigo} strokeWidth={2 * pixel} />
        </G>
      )}
    </G>
  );
}
