import { sentenceOfError } from './frameNumbers';
import {
  applyEdit,
  type Edit,
  type EditArguments,
  type EditName,
  type MadeIds,
  madeIds,
  ShotError,
} from '@humble/core';
import { messageShown } from './sessionSlice';
import { edited, shotBefore } from './shotSlice';
import type { AppThunk, RootState } from './store';

export interface EditResult {
  readonly made: () => MadeIds;
}

/**
 * Does an edit of the core: works it out, and stores what came of it. One that cannot be done says why and changes
 * nothing; the result is null then.
 * @param undoGroup the same for edits that are one undo step; each starts from the shot before the first of them
 */
export const doEdit =
  <Name extends EditName>(
    name: Name,
    args: EditArguments<Name>,
    undoGroup?: string,
  ): AppThunk<EditResult | null> =>
  (dispatch, getState) => {
    const { shot: history } = getState();
    const before = shotBefore(history, undoGroup);
    if (!before) return null;
    const edit = { name, args } as unknown as Edit;
    try {
      const after = applyEdit(before, edit);
      dispatch(edited(after, edit, undoGroup));
      return { made: () => madeIds(before, after) };
    } catch (error) {
      if (!(error instanceof ShotError)) throw error;
      dispatch(messageShown(sentenceOfError(error)));
      return null;
    }
  };

/** Why an edit cannot be done; null where it can. For what is typed letter by letter. */
export function selectEditProblem<Name extends EditName>(
  { shot }: RootState,
  name: Name,
  args: EditArguments<Name>,
): string | null {
  if (!shot.present.shot) return null;
  try {
    applyEdit(shot.present.shot, { name, args } as unknown as Edit);
    return null;
  } catch (error) {
    if (error instanceof ShotError) return sentenceOfError(error);
    throw error;
  }
}
