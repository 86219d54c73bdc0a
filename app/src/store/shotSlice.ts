import { applyEdit, type Edit, type Shot } from '@humble/core';
import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import undoable, { newHistory, type StateWithHistory } from 'redux-undo';

export interface ShotState {
  readonly shot: Shot | null;
}

/** What can be undone and redone. */
export interface Steps {
  readonly past: readonly Shot[];
  readonly future: readonly Shot[];
}

/** A shot comes onto the workbench, with what was done to it before where that is known. */
export const shotOpened = createAction('shot/opened', (shot: Shot, steps?: Steps) => ({
  payload: shot,
  meta: { steps },
}));
/** The workbench is empty again. */
export const shotClosed = createAction('shot/closed');
/** One edit of the core, naming where things come to be, not by how much; edits of one gesture are one undo step. */
export const edited = createAction('shot/edited', (edit: Edit, undoGroup?: string) => ({
  payload: edit,
  meta: { undoGroup },
}));

const UNDO_STEPS = 300;

// Written by hand, not with a slice: a slice hands out drafts, and the core remembers what it has worked
// out by the identity of the real parts.
function shotReducer(state: ShotState = { shot: null }, action: UnknownAction): ShotState {
  if (shotOpened.match(action)) return { shot: action.payload };
  if (shotClosed.match(action)) return { shot: null };
  if (!edited.match(action) || !state.shot) return state;
  const shot = applyEdit(state.shot, action.payload);
  return shot === state.shot ? state : { shot };
}

export type ShotHistory = StateWithHistory<ShotState>;

const undoableShot = undoable(shotReducer, {
  limit: UNDO_STEPS,
  filter: (action) => edited.match(action),
  groupBy: (action) => (edited.match(action) ? (action.meta.undoGroup ?? null) : null),
});

/**
 * The shot and the way it came to be, from the moment it was opened. Every edit of a gesture is worked out
 * from the shot as it was when the gesture began: a length that is dragged short and long again brings
 * each mark back to where it was.
 */
export function shotHistory(history: ShotHistory | undefined, action: UnknownAction): ShotHistory {
  // The library can forget the past on an action, but then counts the state before it as the first step.
  if (shotOpened.match(action) || shotClosed.match(action)) {
    const { past = [], future = [] } = (shotOpened.match(action) && action.meta.steps) || {};
    const states = (shots: readonly Shot[]): ShotState[] => shots.map((shot) => ({ shot }));
    return newHistory(states(past.slice(-UNDO_STEPS)), shotReducer(undefined, action), states(future));
  }
  const began = history?.past[history.past.length - 1];
  if (
    history &&
    began &&
    edited.match(action) &&
    action.meta.undoGroup &&
    action.meta.undoGroup === history.group
  )
    return newHistory(history.past, shotReducer(began, action), [], history.group);
  return undoableShot(history, action);
}
