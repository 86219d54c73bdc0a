import { drawArc } from './drawArc';
import { withShapedHandles, type PointShape } from '@humble/core';
import { pointsPlaced, toolChosen } from '../store/editorSlice';
import type { AppThunk } from '../store/store';

/** The points placed so far with the handles that their neighbours give them. */
export const placedShape = (placed: readonly PointShape[], closed = false): readonly PointShape[] =>
  withShapedHandles(placed, closed);

/** The points placed so far become an arc. One point alone is given up. */
export const finishPlacing =
  (closed: boolean): AppThunk =>
  (dispatch, getState) => {
    const { placed } = getState().editor;
    const isDrawn = placed.length >= 2 && dispatch(drawArc({ points: placedShape(placed, closed), closed }));
    if (!isDrawn) dispatch(toolChosen('shape'));
  };

/** The point placed last is taken back. */
export const takePlacedBack = (): AppThunk => (dispatch, getState) => {
  dispatch(pointsPlaced(getState().editor.placed.slice(0, -1)));
};
