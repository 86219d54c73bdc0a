import { pointAtDistance } from '@humble/core';
import { Circle } from 'react-native-svg';
import { chosenDistance } from '../../../store/selectors/selection';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LiveGroup } from '../../../playback/liveShapes';
import { selectActiveArc } from '../../../store/selectors/active';
import { useThrottledEditor } from '../../../store/throttled/hooks';

export function SelectedPlace() {
  const pixel = usePixel();
  const hasPlace = useThrottledEditor(({ arcLocation }) => arcLocation !== null);
  if (!hasPlace) return null;
  const transform = (state: RootState): string => {
    const arc = selectActiveArc(state);
    const s = arc && chosenDistance(arc, state.editor);
    if (!arc || s === null) return '';
    const { x, y } = pointAtDistance(arc, s);
    return `translate(${x} ${y})`;
  };
  return (
    <LiveGroup transform={transform}>
      <Circle r={7 * pixel} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <Circle testID="place-on-arc" r={7 * pixel} fill="none" stroke={colour.brass} strokeWidth={2 * pixel} />
    </LiveGroup>
  );
}
