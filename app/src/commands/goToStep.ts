import { commandsWords as words } from '../words/commands';
import { finishPlacing } from './placing';
import { type Step, stepDescriptor } from '../kinds/steps';
import { messageShown, stepChosen } from '../store/sessionSlice';
import type { AppDispatch, RootState } from '../store/store';

/**
 * Goes to a step of the work. What is half made is not dropped in silence: placed points become the arc
 * they are, and a stroke that was not kept says so.
 */
export const goToStep =
  (step: Step) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { tool, placed, sketch } = getState().editor;
    if (stepDescriptor(step).edits !== 'arcs') {
      if (tool === 'points' && placed.length > 1) dispatch(finishPlacing(false));
      if (sketch && sketch.undoGroup === null) dispatch(messageShown(words.youLeftBeforeKeepingTheStroke));
    }
    dispatch(stepChosen(step));
  };
