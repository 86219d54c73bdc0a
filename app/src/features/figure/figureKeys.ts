import { isOnPage, nudgeOf } from '../../commands/arrows';
import { keyHandler } from '../../commands/keyHandler';
import { nudgeFigure, putFigureInMiddle } from '../../commands/posing';
import { toolChosen } from '../../store/editorSlice';
import type { AppStore } from '../../store/store';

export function figureKeys({ dispatch, getState }: AppStore): (event: KeyboardEvent) => boolean {
  const isPosing = (): boolean => getState().editor.tool === 'pose';
  const nudge = (event: KeyboardEvent): boolean => {
    const by = nudgeOf(event);
    if (by) dispatch(nudgeFigure(by));
    return by !== null;
  };
  return keyHandler('figure', {
    nudge,
    nudgeFar: nudge,
    putInMiddle: (event) => {
      if (!isPosing() || !isOnPage(event)) return false;
      dispatch(putFigureInMiddle());
    },
    cancel: () => {
      if (!isPosing()) return false;
      dispatch(toolChosen('shape'));
    },
  });
}
