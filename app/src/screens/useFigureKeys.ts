import { toolChosen } from '../state/editorSlice';
import { useAppStore } from '../state/hooks';
import { figureNudged, figurePutInMiddle } from '../state/posing';
import { isOnPage, nudgeOf } from './arrows';

/** The keys that put the figure in place; what a key does now, or nothing when it is not one of them. */
export function useFigureKeys(): (event: KeyboardEvent) => (() => void) | undefined {
  const { dispatch, getState } = useAppStore();
  return (event) => {
    const { session, editor } = getState();
    if (session.step !== 'figure') return undefined;
    if (editor.tool === 'pose') {
      if (event.key === 'Escape') return () => dispatch(toolChosen('shape'));
      if (event.key === 'Enter' && isOnPage(event)) return () => dispatch(figurePutInMiddle());
    }
    const by = event.altKey ? nudgeOf(event) : null;
    return by ? () => dispatch(figureNudged(by)) : undefined;
  };
}
