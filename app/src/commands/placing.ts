import { drawArc } from './drawArc';
import { withShapedHandles, type PointShape } from '@humble/core';
import { pointsPlaced, toolChosen } from '../store/editorSlice';
import type { AppThunk } from '../store/store';

export const placedShape = (placed: readonly PointShape[], closed = false): readonly PointShape[] =>
  withShapedHandles(placed, closed);

export const finishPlacing =
  (closed: boolean): AppThunk =>
  (dispatch, getState) => {
    const { placed } = getState().editor;
    const isDrawn = placed.length >= 2 && dispatch(drawArc({ points: placedShape(placed, closed), closed }));
    if (!isDrawn) dispatch(toolChosen('shape'));
  };

export const takePlacedBack = (): AppThunk => (dispatch, getState) => {
  dispatch(pointsPlaced(getState().editor.placed.slice(0, -1)));
};
