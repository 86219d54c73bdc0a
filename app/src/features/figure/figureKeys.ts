import { toolChosen } from '../../store/editorSlice';
import type { AppStore } from '../../store/store';
import { nudgeFigure, putFigureInMiddle } from '../../commands/posing';
import { isOnPage, nudgeOf } from '../../commands/arrows';

/** The keys that put the figure in place; what a key does now, or nothing when it is not one of them. */
export function figureKeys({
  dispatch,
  getState,
}: AppStore): (event: KeyboardEvent) => (() => void) | undefined {
  return (event) => {
    const { editor } = getState();
    if (editor.tool === 'pose') {
      if (event.key === 'Escape') return () => dispatch(toolChosen('shape'));
      if (event.key === 'Enter' && isOnPage(event)) return () => dispatch(putFigureInMiddle());
    }
    const by = event.altKey ? nudgeOf(event) : null;
    return by ? () => dispatch(nudgeFigure(by)) : undefined;
  };
}
