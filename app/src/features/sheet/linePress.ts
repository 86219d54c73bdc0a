import type { GestureResponderEvent } from 'react-native';
import { currentFrame, goTo } from '../../playback/playhead';
import { rangePicked } from '../../store/editorSlice';
import type { AppDispatch } from '../../store/store';

const isShift = ({ nativeEvent }: GestureResponderEvent): boolean =>
  (nativeEvent as { readonly shiftKey?: boolean }).shiftKey === true;

/**
 * Props of a line of a table: a press goes to its frame; with Shift, or held down, it picks the frames from the one
 * in sight to it.
 */
export function linePress(dispatch: AppDispatch, frame: number, goToFrame: () => void = () => goTo(frame)) {
  const pick = (): void => {
    const ends = [currentFrame(), frame];
    dispatch(rangePicked({ by: 'frames', from: Math.min(...ends), until: Math.max(...ends) }));
  };
  return {
    onPress: (event: GestureResponderEvent) => (isShift(event) ? pick() : goToFrame()),
    onLongPress: pick,
  };
}
