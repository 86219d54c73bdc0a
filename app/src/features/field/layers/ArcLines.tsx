import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { LivePath, usePixel } from '../../../render/livePaths';
import { linePath, visibleArcs } from './arcPaths';
import { shotIn } from './shotIn';

const linesOfAll = (state: RootState): string => {
  const shot = shotIn(state);
  return shot ? visibleArcs(shot).map(linePath).join('') : '';
};

/** All arcs alike, for the loupe. */
export function ArcLines() {
  const pixel = usePixel();
  return (
    <G>
      <LivePath path={linesOfAll} fill="none" stroke={colour.field} strokeWidth={4.5 * pixel} />
      <LivePath path={linesOfAll} fill="none" stroke={colour.indigo} strokeWidth={1.75 * pixel} />
    </G>
  );
}
