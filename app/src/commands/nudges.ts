import { exposuresOf, type Move, type Vector } from '@humble/core';
import { doEdit } from '../store/doEdit';
import { nudgeRun, type Run } from './nudgeRun';
import { currentFrame } from '../playback/playhead';
import { selectActiveTravel } from '../store/selectors/selection';
import type { AppThunk } from '../store/store';
import { selectActiveMove } from '../store/selectors/active';

/** Frames (x) and shares of the arc (y) that the arrows move things by; ten times as much with Shift. */
const STEPS: Readonly<Record<string, Vector>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: 0.005 },
  ArrowDown: { x: 0, y: -0.005 },
};
const FAR = 10;

const run = nudgeRun();

function nudged(of: string, key: string, isFar: boolean): Run | null {
  const step = STEPS[key];
  const size = isFar ? FAR : 1;
  return step ? run(of, { x: step.x * size, y: step.y * size }) : null;
}

const isTick = (move: Move, lengthFrames: number, frame: number): boolean =>
  move.marks.every((mark) => mark.frame !== frame) &&
  exposuresOf(move, { lengthFrames }).some((exposure) => exposure.frame === frame);

let tickFrom = 0;

/**
 * Nudges the selected marks by a key, in time or in place; with none selected the tick at the playhead, in
 * place. A run of nudges is one gesture. @returns whether the key did something
 */
export const nudge =
  (key: string, isFar: boolean): AppThunk<boolean> =>
  (dispatch, getState) => {
    const { editor, settings, shot } = getState();
    const move = selectActiveMove(getState());
    const travel = selectActiveTravel(getState());
    if (!move || !travel || !shot.present.shot) return false;
    const markIds = editor.selectedMarkIds;
    if (markIds.length > 0) {
      const to = nudged(markIds.join(' '), key, isFar);
      if (!to) return false;
      dispatch(
        doEdit(
          'moveMarks',
          {
            moveId: move.id,
            markIds,
            byFrames: to.total.x,
            byFraction: to.total.y,
            takesLater: settings.takesLater,
          },
          to.undoGroup,
        ),
      );
      return true;
    }
    const frame = currentFrame();
    if (!isTick(move, shot.present.shot.lengthFrames, frame) || travel.arcLength === 0) return false;
    const to = nudged(`tick ${move.id} ${frame}`, key, isFar);
    if (!to) return false;
    if (to.isFirst) tickFrom = travel.plan[frame - 1]! / travel.arcLength;
    // A tick has no other frame to go to: both pairs of arrows move it along the arc.
    const by = to.total.y + to.total.x * STEPS.ArrowUp!.y;
    dispatch(
      doEdit(
        'moveTick',
        { moveId: move.id, frame, fraction: tickFrom + by, reachFrames: settings.tickReach },
        to.undoGroup,
      ),
    );
    return true;
  };
