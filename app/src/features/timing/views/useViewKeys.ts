import { useAppDispatch } from '../../../store/hooks';
import { nudge } from '../../../commands/nudges';
import { deleteSelectedMarks, selectNextMark } from '../../../commands/timing';
import { type KeyZoom, zoomKey } from './ViewTools';

interface KeyEvent {
  readonly key?: string;
  readonly nativeEvent?: { readonly key?: string };
  readonly shiftKey?: boolean;
  readonly altKey?: boolean;
  readonly ctrlKey?: boolean;
  readonly metaKey?: boolean;
  readonly preventDefault: () => void;
  readonly stopPropagation: () => void;
}

/**
 * Keys of a view of the timing that has the focus: plus, minus and nought zoom; the page keys go from mark to
 * mark; Alt with the arrows nudges the selected marks, else the tick at the playhead; Delete takes marks out.
 * @param zoom null for a view that shows all of itself
 */
export function useViewKeys(zoom: KeyZoom | null): object {
  const dispatch = useAppDispatch();
  return {
    onKeyDown: (event: KeyEvent) => {
      if (event.ctrlKey || event.metaKey) return;
      const key = event.key ?? event.nativeEvent?.key ?? '';
      if (!zoom || !zoomKey(key, zoom)) {
        if (key === 'PageDown' || key === 'PageUp') dispatch(selectNextMark(key === 'PageDown' ? 1 : -1));
        else if (key === 'Delete' || key === 'Backspace') dispatch(deleteSelectedMarks());
        else if (!event.altKey || !dispatch(nudge(key, event.shiftKey ?? false))) return;
      }
      event.preventDefault();
      event.stopPropagation();
    },
  };
}
