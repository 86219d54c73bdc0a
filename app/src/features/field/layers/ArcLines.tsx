import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { linePath, visibleArcs } from './arcPaths';
import { selectShot } from '../../../store/selectors/active';

const linesOfAll = (state: RootState): string => {
  const shot = selectShot(state);
  return shot ? visibleArcs(shot).map(linePath).join('') : '';
};

export function ArcLines() {
  const pixel = usePixel();
  return (
    <G>
      <LivePath path={linesOfAll} fill="none" stroke={colour.field} strokeWidth={4.5 * pixel} />
      <LivePath path={linesOfAll} fill="none" stroke={colour.indigo} strokeWidth={1.75 * pixel} />
    </G>
  );
}
