import { TRACKS, type TrackName } from '@humble/core';
import type { RootState } from '../../../store/store';
import { selectActiveMove } from '../../../store/selectors/active';

/** Height of a row of keys under the unrolled arc, pixels. */
export const ROW_PX = 24;

export function selectTracksWithKeys(state: RootState): readonly TrackName[] {
  const move = selectActiveMove(state);
  return move ? TRACKS.map(({ name }) => name).filter((name) => move.tracks[name].length > 0) : [];
}
