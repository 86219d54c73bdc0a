import { nudge } from '../commands/nudges';
import { deleteSelectedMarks, selectNextMark } from '../commands/timing';
import { useAppDispatch } from '../store/hooks';
import type { ZoomedAxis } from './interactiveSurface';

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

const ZOOM_STEP = 1.6;

/** Plus, minus and nought zoom. @returns whether the key was one of them */
function zoomKey(key: string, zooms: readonly ZoomedAxis[]): boolean {
  if (zooms.length === 0 || !['+', '=', '-', '0'].includes(key)) return false;
  for (const { zoom, focus } of zooms)
    if (key === '0') zoom.fit();
    else zoom.by(key === '-' ? 1 / ZOOM_STEP : ZOOM_STEP, focus());
  return true;
}

/**
 * Keys of a view of the timing that has the focus: plus, minus and nought zoom; the page keys go from mark to
 * mark; Alt with the arrows nudges the selected marks, else the tick at the playhead; Delete takes marks out.
 */
export function useViewKeys(zooms: readonly ZoomedAxis[] = []): object {
  const dispatch = useAppDispatch();
  return {
    onKeyDown: (event: KeyEvent) => {
      if (event.ctrlKey || event.metaKey) return;
      const key = event.key ?? event.nativeEvent?.key ?? '';
      if (!zoomKey(key, zooms)) {
        if (key === 'PageDown' || key === 'PageUp') dispatch(selectNextMark(key === 'PageDown' ? 1 : -1));
        else if (key === 'Delete' || key === 'Backspace') dispatch(deleteSelectedMarks());
        else if (!event.altKey || !dispatch(nudge(key, event.shiftKey ?? false))) return;
      }
      event.preventDefault();
      event.stopPropagation();
    },
  };
}
