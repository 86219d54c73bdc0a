import { toolChosen } from './handSlice';
import { stepChosen } from './sessionSlice';
import type { AppDispatch } from './store';

/** The next press on the field puts the figure there; the Figure step shows what comes of it. */
export const posesAsked =
  () =>
  (dispatch: AppDispatch): void => {
    dispatch(stepChosen('figure'));
    dispatch(toolChosen('pose'));
  };
