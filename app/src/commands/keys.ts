import { copiedKeys, type Key, type Move, type Reach, type TrackName } from '@humble/core';
import { TRACK_DESCRIPTORS } from '../kinds/tracks';
import { currentFrame, goTo } from '../playback/playhead';
import { doEdit } from '../store/doEdit';
import { keysCopied, keysSelected } from '../store/editorSlice';
import type { AppStore, AppThunk } from '../store/store';
import { createUndoGroup } from '../ui/undoGroup';
import { nudgeRun } from './nudgeRun';
import { selectActiveMove } from '../store/selectors/active';

const keyOn = (move: Move, track: TrackName, frame: number): Key | undefined =>
  move.tracks[track].find((key) => key.frame === frame);

export const addKey =
  (track: TrackName, frame: number): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    return move !== null && dispatch(doEdit('setKey', { moveId: move.id, track, frame })) !== null;
  };

export const deleteKeyAt =
  (track: TrackName, frame: number): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    const key = move && keyOn(move, track, frame);
    if (!move || !key) return false;
    return dispatch(doEdit('deleteKeys', { moveId: move.id, track, keyIds: [key.id] })) !== null;
  };

export const copyKeys =
  (track: TrackName, keyIds: readonly string[]): AppThunk<void> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    if (move) dispatch(keysCopied({ track, keys: copiedKeys(move, track, keyIds) }));
  };

export const toggleKeySelection =
  (track: TrackName, keyId: string): AppThunk<void> =>
  (dispatch, getState) => {
    const { selectedKeys } = getState().editor;
    const before = selectedKeys?.track === track ? selectedKeys.ids : [];
    const ids = before.includes(keyId) ? before.filter((id) => id !== keyId) : [...before, keyId];
    dispatch(keysSelected({ track, ids }));
  };

/** Goes on to the key before or after the playhead. */
export const goToNextKey =
  (track: TrackName, by: 1 | -1): AppThunk<boolean> =>
  (_, getState) => {
    const keys = selectActiveMove(getState())?.tracks[track] ?? [];
    const from = currentFrame();
    const next = by > 0 ? keys.find(({ frame }) => frame > from) : keys.findLast(({ frame }) => frame < from);
    if (next) goTo(next.frame);
    return next !== undefined;
  };

/** A key that is dragged: it follows until it is let go, in one undo step, and the playhead goes with it. */
export interface KeyDrag {
  /** @param frames and @param value differences from where it was taken; rounded as the track is typed */
  readonly by: (frames: number, value: number) => void;
}

function idsReached(keys: readonly Key[], keyId: string, reach: Reach): readonly string[] {
  const held = keys.findIndex(({ id }) => id === keyId);
  const isMeant = (i: number): boolean =>
    reach === 'all' || (reach === 'after' ? i >= held : reach === 'before' ? i <= held : i === held);
  return keys.filter((_, i) => isMeant(i)).map(({ id }) => id);
}

export function createKeyDrag(store: AppStore, track: TrackName, keyId: string): KeyDrag | null {
  const move = selectActiveMove(store.getState());
  if (!move) return null;
  const undoGroup = createUndoGroup('keys');
  const digits = 10 ** TRACK_DESCRIPTORS[track].decimals;
  const { reach, selectedKeys } = store.getState().editor;
  const isSelected = selectedKeys?.track === track && selectedKeys.ids.includes(keyId);
  const ids = isSelected ? selectedKeys.ids : idsReached(move.tracks[track], keyId, reach);
  return {
    by: (frames, value) => {
      const byValue = Math.round(value * digits) / digits;
      const args = { moveId: move.id, track, keyIds: ids, byFrames: Math.round(frames), byValue };
      store.dispatch(doEdit('moveKeys', args, undoGroup));
      const now = selectActiveMove(store.getState())?.tracks[track].find(({ id }) => id === keyId);
      if (now) goTo(now.frame);
    },
  };
}

const run = nudgeRun();
const FAR = 10;

/** Nudges the key on a frame by an arrow key, in time or in value. @returns whether the key did something */
export const nudgeKeyAt =
  (track: TrackName, frame: number, key: string, isFar: boolean): AppThunk<boolean> =>
  (dispatch, getState) => {
    const move = selectActiveMove(getState());
    const here = move && keyOn(move, track, frame);
    const { step } = TRACK_DESCRIPTORS[track];
    const by = {
      ArrowLeft: { x: -1, y: 0 },
      ArrowRight: { x: 1, y: 0 },
      ArrowUp: { x: 0, y: step },
      ArrowDown: { x: 0, y: -step },
    }[key];
    if (!move || !here || !by) return false;
    const size = isFar ? FAR : 1;
    const { undoGroup, total } = run(`${track} ${here.id}`, { x: by.x * size, y: by.y * size });
    const args = { moveId: move.id, track, keyIds: [here.id], byFrames: total.x, byValue: total.y };
    if (!dispatch(doEdit('moveKeys', args, undoGroup))) return false;
    const now = selectActiveMove(getState())?.tracks[track].find(({ id }) => id === here.id);
    if (now) goTo(now.frame);
    return true;
  };
