import { finishPlacing } from './placing';
import { messageShown, type Step, stepChosen } from './sessionSlice';
import type { AppDispatch, RootState } from './store';

/**
 * Goes to a step of the work. What is half made is not dropped in silence: placed points become the arc
 * they are, and a stroke that was not kept says so.
 */
export const goToStep =
  (step: Step) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { tool, placed, sketch } = getState().editor;
    if (step !== 'arc') {
      if (tool === 'points' && placed.length > 1) dispatch(finishPlacing(false));
      if (sketch && sketch.undoGroup === null)
        dispatch(messageShown('The stroke was given up: it had not been kept.'));
    }
    dispatch(stepChosen(step));
  };
