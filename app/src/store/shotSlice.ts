import type { Edit, Shot } from '@humble/core';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import undoable, { newHistory, type StateWithHistory } from 'redux-undo';

export interface ShotState {
  readonly shot: Shot | null;
}

export interface Steps {
  readonly past: readonly Shot[];
  readonly future: readonly Shot[];
}

/** A shot comes onto the workbench, with what was done to it before where that is known. */
export const shotOpened = createAction('shot/opened', (shot: Shot, steps?: Steps) => ({
  payload: shot,
  meta: { steps },
}));
export const shotClosed = createAction('shot/closed');
/** The shot after an edit of the core; edits of one undo group are one undo step. Comes from `doEdit` alone. */
export const edited = createAction('shot/edited', (shot: Shot, edit: Edit, undoGroup?: string) => ({
  payload: shot,
  meta: { edit, undoGroup },
}));

const UNDO_STEPS = 300;

// Written by hand, not with a slice: a slice hands out drafts, and the core remembers what it has worked
// out by the identity of the real parts.
function shotReducer(state: ShotState = { shot: null }, action: UnknownAction): ShotState {
  if (shotOpened.match(action)) return { shot: action.payload };
  if (shotClosed.match(action)) return { shot: null };
  if (!edited.match(action) || !state.shot) return state;
  return action.payload === state.shot ? state : { shot: action.payload };
}

export type ShotHistory = StateWithHistory<ShotState>;

const undoableShot = undoable(shotReducer, {
  limit: UNDO_STEPS,
  filter: (action) => edited.match(action),
  groupBy: (action) => (edited.match(action) ? (action.meta.undoGroup ?? null) : null),
});

/** Whether an edit goes on with the undo group of the one before. */
const goesOn = (history: ShotHistory, undoGroup: string | undefined): boolean =>
  Boolean(undoGroup) && undoGroup === history.group && history.past.length > 0;

/**
 * The shot that an edit starts from. Every edit of an undo group is worked out from the shot as it was when the
 * group began: a length that is dragged short and long again brings each mark back to where it was.
 */
export const shotBefore = (history: ShotHistory, undoGroup?: string): Shot | null =>
  goesOn(history, undoGroup) ? history.past[history.past.length - 1]!.shot : history.present.shot;

export function shotHistory(history: ShotHistory | undefined, action: UnknownAction): ShotHistory {
  // The library can forget the past on an action, but then counts the state before it as the first step.
  if (shotOpened.match(action) || shotClosed.match(action)) {
    const { past = [], future = [] } = (shotOpened.match(action) && action.meta.steps) || {};
    const states = (shots: readonly Shot[]): ShotState[] => shots.map((shot) => ({ shot }));
    return newHistory(states(past.slice(-UNDO_STEPS)), shotReducer(undefined, action), states(future));
  }
  if (history && edited.match(action) && goesOn(history, action.meta.undoGroup))
    return newHistory(history.past, { shot: action.payload }, [], history.group);
  return undoableShot(history, action);
}
