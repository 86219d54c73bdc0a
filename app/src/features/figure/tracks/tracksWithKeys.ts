import { TRACKS, type TrackName } from '@humble/core';
import { activeMoveIn } from '../../../store/hooks';
import type { RootState } from '../../../store/store';

/** Height of a row of keys under the unrolled arc, pixels. */
export const ROW_PX = 24;

/** Tracks of the active move that have keys, in the order of their table. */
export function tracksWithKeys(state: RootState): readonly TrackName[] {
  const move = activeMoveIn(state);
  return move ? TRACKS.map(({ name }) => name).filter((name) => move.tracks[name].length > 0) : [];
}
