import { commandsWords as words } from '../words/commands';
import { copiedMarks } from '@humble/core';
import { createUndoGroup } from '../ui/undoGroup';
import { currentFrame, goTo } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { marksCopied, marksSelected } from '../store/editorSlice';
import { messageShown } from '../store/sessionSlice';
import type { AppStore, AppThunk } from '../store/store';
import { selectActiveMove } from '../store/selectors/active';

/** Something of a timing that is dragged: it follows until it is let go, as one gesture. */
export interface TimingDrag {
  /** @param to the frame and the share of the arc where it is to be; what is left out stays */
  readonly to: (to: { readonly frame?: number; readonly fraction?: number }) => void;
}

export function createMarkDrag(
  store: AppStore,
  markIds: readonly string[],
  heldId: string,
): TimingDrag | null {
  const move = selectActiveMove(store.getState());
  const held = move?.marks.find(({ id }) => id === heldId);
  if (!move || !held) return null;
  const undoGroup = createUndoGroup('marks');
  return {
    to: ({ frame = held.frame, fraction = held.fraction }) => {
      const { takesLater } = store.getState().settings;
      store.dispatch(
        doEdit(
          'moveMarks',
          {
            moveId: move.id,
            markIds,
            byFrames: Math.round(frame) - held.frame,
            byFraction: fraction - held.fraction,
            takesLater,
          },
          undoGroup,
        ),
      );
    },
  };
}

export function createTickDrag(store: AppStore, frame: number): TimingDrag | null {
  const move = selectActiveMove(store.getState());
  if (!move) return null;
  const undoGroup = createUndoGroup('tick');
  return {
    to: ({ fraction }) => {
      if (fraction === undefined) return;
      const reachFrames = store.getState().settings.tickReach;
      store.dispatch(doEdit('moveTick', { moveId: move.id, frame, fraction, reachFrames }, undoGroup));
    },
  };
}

export const addMark =
  (frame: number = currentFrame(), fraction?: number): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    const done = move && dispatch(doEdit('addMark', { moveId: move.id, frame, fraction }));
    if (!done) return false;
    dispatch(marksSelected(done.made().marks));
    return true;
  };

export const deleteSelectedMarks = (): AppThunk => (dispatch, getState) => {
  const move = selectActiveMove(getState());
  const markIds = getState().editor.selectedMarkIds;
  if (move && markIds.length > 0 && dispatch(doEdit('deleteMarks', { moveId: move.id, markIds })))
    dispatch(marksSelected([]));
};

export const copySelectedMarks = (): AppThunk => (dispatch, getState) => {
  const move = selectActiveMove(getState());
  const { selectedMarkIds } = getState().editor;
  if (!move || selectedMarkIds.length === 0) return;
  dispatch(marksCopied(copiedMarks(move, selectedMarkIds)));
  const count = selectedMarkIds.length;
  dispatch(messageShown(count === 1 ? words.theMarkIsCopied : words.marksAreCopied(count)));
};

/** Copied marks at the playhead; they are selected. */
export const pasteMarks = (): AppThunk => (dispatch, getState) => {
  const move = selectActiveMove(getState());
  const { copied } = getState().editor;
  if (!move || !copied) return;
  const at = currentFrame();
  const done = dispatch(doEdit('pasteMarks', { moveId: move.id, copied, at }));
  if (done) dispatch(marksSelected(done.made().marks));
};

export const selectNextMark =
  (by: 1 | -1): AppThunk =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    if (!move) return;
    const { marks } = move;
    const selected = marks.findIndex(({ id }) => getState().editor.selectedMarkIds.includes(id));
    const from = currentFrame();
    const next =
      selected >= 0
        ? marks[selected + by]
        : by > 0
          ? marks.find(({ frame }) => frame > from)
          : [...marks].reverse().find(({ frame }) => frame < from);
    if (!next) return;
    dispatch(marksSelected([next.id]));
    goTo(next.frame);
  };
