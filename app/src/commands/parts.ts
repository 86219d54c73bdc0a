import { arcLength, distanceAhead, evaluateMove, nearestPoint, type Vector } from '@humble/core';
import { currentFrame } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { riderChosen } from '../store/editorSlice';
import type { AppStore, AppThunk } from '../store/store';
import { createUndoGroup } from '../ui/undoGroup';
import { selectActiveMove } from '../store/selectors/active';

export const addPart = (): AppThunk<boolean> => (dispatch, getState) => {
  const move = selectActiveMove(getState());
  const { shot } = getState().shot.present;
  if (!move || !shot) return false;
  const { figureHeight } = evaluateMove(shot, move);
  const last = move.riders.reduce(
    (least, { follows }) => (follows.by === 'distance' ? Math.min(least, follows.distance) : least),
    0,
  );
  const distance = Math.round(last - figureHeight);
  const result = dispatch(doEdit('addRider', { moveId: move.id, follows: { by: 'distance', distance } }));
  const id = result?.made().riders[0];
  if (id !== undefined) dispatch(riderChosen(id));
  return id !== undefined;
};

export const releasePart =
  (riderId: string): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    if (!move) return false;
    const args = { moveId: move.id, riderId, frame: currentFrame() };
    const isDone = dispatch(doEdit('releaseRider', args)) !== null;
    if (isDone) dispatch(riderChosen(null));
    return isDone;
  };

/**
 * A drag of a part along its arc sets its distance from the figure, in one undo step. One that follows by frames does
 * so by distance from then on.
 * @returns what takes the pointer, field units
 */
export function partDrag(store: AppStore, riderId: string): (to: Vector) => void {
  const undoGroup = createUndoGroup('part');
  return (to) => {
    const state = store.getState();
    const move = selectActiveMove(state);
    const { shot } = state.shot.present;
    const rider = move?.riders.find(({ id }) => id === riderId);
    if (!move || !shot || !rider) return;
    const travel = evaluateMove(shot, move);
    const second = shot.arcs.find(({ id }) => id === rider.arcId);
    const found = nearestPoint(second ?? travel.arc, to);
    if (!found) return;
    const share = second ? travel.arcLength / Math.max(1e-9, arcLength(second)) : 1;
    const frame = travel.shown[Math.min(currentFrame(), travel.shown.length) - 1]!;
    const distance = Math.round(distanceAhead(travel, frame, found.s * share) * 100) / 100;
    store.dispatch(
      doEdit('setRider', { moveId: move.id, riderId, follows: { by: 'distance', distance } }, undoGroup),
    );
  };
}
