import { withShapedHandles, type PointShape } from '@humble/core';
import { doEdit } from '../store/doEdit';
import { arcActivated, pointsPlaced, toolChosen } from '../store/editorSlice';
import { goTo } from '../playback/playhead';
import type { AppDispatch, RootState } from '../store/store';

/** The points placed so far with the handles that their neighbours give them. */
export const placedShape = (placed: readonly PointShape[], closed = false): readonly PointShape[] =>
  withShapedHandles(placed, closed);

/** The points placed so far become an arc. One point alone is given up. */
export const finishPlacing =
  (closed: boolean) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { placed } = getState().editor;
    if (placed.length >= 2 && dispatch(doEdit('drawArc', { points: placedShape(placed, closed), closed }))) {
      dispatch(arcActivated(getState().shot.present.shot!.arcs.at(-1)!.id));
      goTo(1);
    } else dispatch(toolChosen('shape'));
  };

/** The point placed last is taken back. */
export const takePlacedBack =
  () =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    dispatch(pointsPlaced(getState().editor.placed.slice(0, -1)));
  };
