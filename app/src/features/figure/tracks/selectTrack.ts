import { evaluateMove, type Key, type Move, type TrackName } from '@humble/core';
import type { RootState } from '../../../store/store';
import { selectActiveMove } from '../../../store/selectors/active';

export interface TrackNow {
  readonly move: Move;
  readonly keys: readonly Key[];
  readonly values: Float64Array;
}

export function selectTrack(state: RootState, track: TrackName): TrackNow | null {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  if (!shot || !move) return null;
  return { move, keys: move.tracks[track], values: evaluateMove(shot, move).tracks[track] };
}
