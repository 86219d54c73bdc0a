import { arcLength, type Artwork, nearestPoint, type Vector } from '@humble/core';
import { currentFrame } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { figureActivated, figureSoloed } from '../store/editorSlice';
import type { AppDispatch, AppThunk } from '../store/store';
import { createUndoGroup } from '../ui/undoGroup';
import { selectActiveWaiting } from '../store/selectors/active';

export const chooseFigure =
  (figureId: string): AppThunk<void> =>
  (dispatch, getState) => {
    const move = getState().shot.present.shot?.moves.find((one) => one.figureId === figureId);
    dispatch(figureActivated({ figureId, arcId: move?.arcId ?? null }));
  };

/**
 * Puts a figure on an arc, on the frame at the playhead: at its start, where the figure is, or on a place of the arc as
 * a share of its length.
 */
export const attachFigure =
  (
    figureId: string,
    arcId: string,
    how: 'start' | 'where-it-is' | { readonly fraction: number },
  ): AppThunk<boolean> =>
  (dispatch) => {
    const isDone = dispatch(doEdit('attachFigure', { figureId, arcId, frame: currentFrame(), how })) !== null;
    if (isDone) dispatch(figureActivated({ figureId, arcId }));
    return isDone;
  };

export const detachFigure =
  (figureId: string): AppThunk<boolean> =>
  (dispatch) => {
    const isDone = dispatch(doEdit('detachFigure', { figureId, frame: currentFrame() })) !== null;
    if (isDone) dispatch(figureActivated({ figureId, arcId: null }));
    return isDone;
  };

/** A place on an arc for the figure that waits: it is there on the frame at the playhead. @returns whether one waits */
export const putWaitingOnArc =
  (arcId: string, at: Vector): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { shot } = getState().shot.present;
    const waiting = selectActiveWaiting(getState());
    const arc = shot?.arcs.find(({ id }) => id === arcId);
    if (!waiting || !arc || arc.locked) return false;
    const [nearest, length] = [nearestPoint(arc, at), arcLength(arc)];
    return dispatch(
      attachFigure(waiting.figureId, arcId, { fraction: nearest && length > 0 ? nearest.s / length : 0 }),
    );
  };

export const addFigure =
  (artwork: Artwork, name?: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { shot } = getState().shot.present;
    if (!shot) return false;
    const { width, height } = shot.field;
    const done = dispatch(doEdit('addFigure', { artwork, x: width / 2, y: height / 2, name }));
    const [figureId] = done?.made().figures ?? [];
    if (figureId) dispatch(figureActivated({ figureId, arcId: null }));
    return done !== null;
  };

export const toggleSolo =
  (figureId: string): AppThunk<void> =>
  (dispatch, getState) => {
    dispatch(figureSoloed(getState().editor.soloFigureId === figureId ? null : figureId));
  };

/** A figure that waits, dragged: it goes as the pointer goes, in one undo step. */
export function waitingDrag(dispatch: AppDispatch, figureId: string, stood: Vector) {
  const undoGroup = createUndoGroup('waiting');
  return (by: Vector): void => {
    dispatch(doEdit('placeWaiting', { figureId, x: stood.x + by.x, y: stood.y + by.y }, undoGroup));
  };
}

/** A camera that rests on the whole field, ready to be posed. */
export const addCamera = (): AppThunk<boolean> => (dispatch, getState) => {
  const made = dispatch(doEdit('addCamera', undefined))?.made();
  const figureId = made?.figures[0];
  if (!figureId) return false;
  const move = getState().shot.present.shot?.moves.find((one) => one.figureId === figureId);
  dispatch(figureActivated({ figureId, arcId: move?.arcId ?? null }));
  return true;
};
