import { sentenceOfError } from '../store/frameNumbers';
import { type EditName, type EditArguments, type Passage, type RoundedMark, ShotError } from '@humble/core';
import { atRate, roundedMarks, stretchRoundings } from '@humble/core/views';
import { currentFrame } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { rangePicked, type TimeOf } from '../store/editorSlice';
import { shotBefore } from '../store/shotSlice';
import type { AppStore, AppThunk, RootState } from '../store/store';
import { createUndoGroup } from '../ui/undoGroup';
import { selectActiveMove } from '../store/selectors/active';

export function selectMoveOfTime(
  state: RootState,
  timeOf: TimeOf = state.editor.timeOf,
): string | null | undefined {
  // Of a single figure all else, the length of the shot, goes along.
  const isAlone = state.shot.present.shot?.moves.length === 1;
  return timeOf === 'all' || isAlone ? null : selectActiveMove(state)?.id;
}

const changed =
  <Name extends EditName>(
    name: Name,
    passage: Passage,
    args: object,
    next: Passage,
    undoGroup?: string,
  ): AppThunk<boolean> =>
  (dispatch, getState) => {
    const moveId = selectMoveOfTime(getState());
    if (moveId === undefined) return false;
    const all = { moveId, ...passage, ...args } as unknown as EditArguments<Name>;
    if (!dispatch(doEdit(name, all, undoGroup))) return false;
    dispatch(rangePicked({ by: 'frames', ...next }));
    return true;
  };

export const stretchPassage =
  (passage: Passage, frames: number, undoGroup?: string): AppThunk<boolean> =>
  (dispatch, getState) =>
    dispatch(
      changed(
        'stretchPassage',
        passage,
        { frames, later: getState().editor.laterMarks },
        { ...passage, until: passage.from + frames },
        undoGroup,
      ),
    );

const passageEdgeMoved =
  (passage: Passage, edge: 'from' | 'until', frame: number, undoGroup: string): AppThunk<boolean> =>
  (dispatch) => {
    if (edge === 'until')
      return dispatch(stretchPassage(passage, Math.max(1, frame - passage.from), undoGroup));
    const from = Math.min(frame, passage.until - 1);
    const frames = passage.until - from;
    return dispatch(
      changed('stretchPassage', passage, { frames, holds: 'end' }, { ...passage, from }, undoGroup),
    );
  };

/** An edge of a passage that follows a hand; what lies in the passage is spread over its frames anew. */
export function createEdgeDrag(store: AppStore, passage: Passage, edge: 'from' | 'until') {
  const undoGroup = createUndoGroup('passage');
  let last = passage[edge];
  return {
    /** @param frames how far the hand has gone, a real number */
    by: (frames: number): void => {
      const whole = Math.max(1, Math.round(passage[edge] + frames));
      if (whole === last) return;
      last = whole;
      store.dispatch(passageEdgeMoved(passage, edge, whole, undoGroup));
    },
  };
}

export const shiftPassage =
  (passage: Passage, by: number, undoGroup?: string): AppThunk<boolean> =>
  (dispatch, getState) =>
    dispatch(
      changed(
        'shiftPassage',
        passage,
        { by, later: getState().editor.laterMarks },
        { from: passage.from + by, until: passage.until + by },
        undoGroup,
      ),
    );

export const reversePassage = (passage: Passage): AppThunk<boolean> =>
  changed('reversePassage', passage, {}, passage);

export const playOutAndBack = (passage: Passage): AppThunk<boolean> =>
  changed('goOutAndBack', passage, {}, { ...passage, until: 2 * passage.until - passage.from });

export const repeatPassage = (passage: Passage): AppThunk<boolean> =>
  changed('repeatPassage', passage, { times: 2 }, passage);

/** Frames put in after the playhead, or taken out. */
export const insertTime =
  (frames: number, undoGroup?: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const moveId = selectMoveOfTime(getState());
    if (moveId === undefined) return false;
    return dispatch(doEdit('insertTime', { moveId, frame: currentFrame(), frames }, undoGroup)) !== null;
  };

/** The moves whose time is changed, as they were before an edit. */
function movesBefore(state: RootState, undoGroup?: string, timeOf?: TimeOf) {
  const shot = shotBefore(state.shot, undoGroup);
  const moveId = selectMoveOfTime(state, timeOf);
  return shot?.moves.filter((move) => moveId === null || move.id === moveId) ?? [];
}

/** Why a passage cannot have so many frames; null where it can. */
export function selectStretchProblem(state: RootState, passage: Passage, frames: number): string | null {
  try {
    const { laterMarks } = state.editor;
    movesBefore(state).forEach((move) => stretchRoundings(move, passage, frames, laterMarks));
    return null;
  } catch (error) {
    if (error instanceof ShotError) return sentenceOfError(error);
    throw error;
  }
}

/** Marks that another length of a passage rounds; none where it cannot be done. */
export function selectRoundingsOfStretch(
  state: RootState,
  passage: Passage,
  frames: number,
  undoGroup?: string,
): readonly RoundedMark[] {
  try {
    const { laterMarks } = state.editor;
    return movesBefore(state, undoGroup).flatMap((move) =>
      stretchRoundings(move, passage, frames, laterMarks),
    );
  } catch (error) {
    if (error instanceof ShotError) return [];
    throw error;
  }
}

/** Marks that another rate rounds where seconds are kept. */
export function selectRoundingsOfRate(
  state: RootState,
  whose: TimeOf,
  rate: number,
  undoGroup?: string,
): readonly RoundedMark[] {
  const shot = shotBefore(state.shot, undoGroup);
  if (!shot) return [];
  const map = atRate(shot.rate, rate);
  return movesBefore(state, undoGroup, whose).flatMap((move) => roundedMarks(move, map));
}
