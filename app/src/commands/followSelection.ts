import { currentFrame, goTo, subscribePlayhead } from '../playback/playhead';
import type { AppStore } from '../store/store';
import { marksSelected } from '../store/editorSlice';
import { selectSelectedMarks } from '../store/selectors/timingSelection';

/**
 * Keeps selection and playhead on one frame: the playhead goes along with the marks that are selected, and where it
 * goes by itself what is selected elsewhere is let go.
 * @returns what ends that
 */
export function followSelection(store: AppStore): () => void {
  const isElsewhere = (): boolean => {
    if (store.getState().editor.selectedMarkIds.length === 0) return false;
    const marks = selectSelectedMarks(store.getState());
    return marks.length > 0 && marks.every(({ frame }) => frame !== currentFrame());
  };
  const endStore = store.subscribe(() => {
    if (isElsewhere()) goTo(selectSelectedMarks(store.getState())[0]!.frame);
  });
  const endPlayhead = subscribePlayhead(() => {
    if (isElsewhere()) store.dispatch(marksSelected([]));
  });
  return () => {
    endStore();
    endPlayhead();
  };
}
