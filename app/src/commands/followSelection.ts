import { currentFrame, goTo, subscribePlayhead } from '../playback/playhead';
import type { AppStore } from '../store/store';
import { keysSelected, marksSelected } from '../store/editorSlice';
import { selectSelectedKeys } from '../store/selectors/selectedKeys';
import { selectSelectedMarks } from '../store/selectors/timingSelection';

type OnFrame = { readonly frame: number };

/**
 * Keeps selection and playhead on one frame: the playhead goes along with the marks or keys that are selected, and where
 * it goes by itself what is selected elsewhere is let go.
 * @returns what ends that
 */
export function followSelection(store: AppStore): () => void {
  /** Where the first of some things is, when none of them is on this frame. */
  const elsewhere = (selected: readonly OnFrame[]): number | null =>
    selected.length > 0 && selected.every(({ frame }) => frame !== currentFrame())
      ? selected[0]!.frame
      : null;
  const marks = (): number | null => elsewhere(selectSelectedMarks(store.getState()));
  const keys = (): number | null => elsewhere(selectSelectedKeys(store.getState()));
  const endStore = store.subscribe(() => {
    const frame = marks() ?? keys();
    if (frame !== null) goTo(frame);
  });
  const endPlayhead = subscribePlayhead(() => {
    if (marks() !== null) store.dispatch(marksSelected([]));
    if (keys() !== null) store.dispatch(keysSelected(null));
  });
  return () => {
    endStore();
    endPlayhead();
  };
}
