import type { Move, Vector } from '@humble/core';
import { doEdit } from '../store/doEdit';
import { arcActivated, toolChosen } from '../store/editorSlice';
import { settingsChanged } from '../store/settingsSlice';
import { nudgeRun } from './nudgeRun';
import { currentFrame, goTo } from '../playback/playhead';
import { selectFigurePlace } from '../store/selectors/selection';
import { stepChosen } from '../store/sessionSlice';
import type { AppThunk } from '../store/store';
import { selectActiveMove } from '../store/selectors/active';

export const askForPoses = (): AppThunk => (dispatch) => {
  dispatch(stepChosen('figure'));
  dispatch(toolChosen('pose'));
};

interface Pose {
  /** What travels; null where nothing does yet: then an arc begins there. */
  readonly move: Move | null;
  readonly frame: number;
  readonly to: Vector;
}

export const putFigure =
  ({ move, frame, to }: Pose, undoGroup?: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { posePath } = getState().settings;
    if (move)
      return dispatch(doEdit('pose', { moveId: move.id, frame, to, path: posePath }, undoGroup)) !== null;
    const done = dispatch(doEdit('beginPoses', { frame, to }, undoGroup));
    if (!done) return false;
    const [arcId] = done.made().arcs;
    if (arcId) dispatch(arcActivated(arcId));
    dispatch(settingsChanged({ keyLine: 'place' }));
    goTo(frame);
    return true;
  };

/** With nothing there yet: the figure in the middle of the field, for those who have no pointer to put it with. */
export const putFigureInMiddle = (): AppThunk<boolean> => (dispatch, getState) => {
  const { shot } = getState().shot.present;
  if (!shot || selectActiveMove(getState())) return false;
  const to = { x: shot.field.width / 2, y: shot.field.height / 2 };
  const isPut = dispatch(putFigure({ move: null, frame: currentFrame(), to }));
  if (isPut) dispatch(toolChosen('shape'));
  return isPut;
};

const run = nudgeRun();
let stoodAt: Vector = { x: 0, y: 0 };

export const nudgeFigure =
  (by: Vector): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    const stands = selectFigurePlace(getState(), currentFrame());
    if (!move || !stands) return false;
    const frame = currentFrame();
    const { undoGroup, total, isFirst } = run(`${move.id} ${frame}`, by);
    if (isFirst) stoodAt = stands;
    return dispatch(
      putFigure({ move, frame, to: { x: stoodAt.x + total.x, y: stoodAt.y + total.y } }, undoGroup),
    );
  };
