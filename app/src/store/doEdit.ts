import { type EditArguments, type EditName, ShotError } from '@humble/core';
import { messageShown } from './sessionSlice';
import { edited } from './shotSlice';
import type { AppDispatch } from './store';

/** Does an edit of the core. One that cannot be done says why and changes nothing; the result tells which. */
export const doEdit =
  <Name extends EditName>(name: Name, args: EditArguments<Name>, undoGroup?: string) =>
  (dispatch: AppDispatch): boolean => {
    try {
      dispatch(edited({ name, args } as Parameters<typeof edited>[0], undoGroup));
      return true;
    } catch (error) {
      if (!(error instanceof ShotError)) throw error;
      dispatch(messageShown(error.message));
      return false;
    }
  };
