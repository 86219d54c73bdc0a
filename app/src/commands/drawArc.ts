import type { EditArguments } from '@humble/core';
import { goTo } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { arcActivated } from '../store/editorSlice';
import type { AppThunk } from '../store/store';

/** Draws a further arc with a figure on it, and goes to its first frame. @returns whether it could be drawn */
export const drawArc =
  (arc: EditArguments<'drawArc'>): AppThunk<boolean> =>
  (dispatch) => {
    const done = dispatch(doEdit('drawArc', arc));
    const arcId = done?.made().arcs[0];
    if (!arcId) return false;
    dispatch(arcActivated(arcId));
    goTo(1);
    return true;
  };
