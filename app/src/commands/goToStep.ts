import { commandsWords as words } from '../words/commands';
import { finishPlacing } from './placing';
import { type WorkStep, stepDescriptor } from '../kinds/steps';
import { messageShown, stepChosen } from '../store/sessionSlice';
import type { AppThunk } from '../store/store';

/**
 * Goes to a step of the work. What is half made is not dropped in silence: placed points become the arc
 * they are, and a stroke that was not kept says so.
 */
export const goToStep =
  (step: WorkStep): AppThunk =>
  (dispatch, getState) => {
    const { tool, placed, sketch } = getState().editor;
    if (stepDescriptor(step).edits !== 'arcs') {
      if (tool === 'points' && placed.length > 1) dispatch(finishPlacing(false));
      if (sketch && sketch.undoGroup === null) dispatch(messageShown(words.strokeDiscarded));
    }
    dispatch(stepChosen(step));
  };
