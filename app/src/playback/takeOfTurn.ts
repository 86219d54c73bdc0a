import { type Comparison, selectComparison } from '../store/selectors/comparison';
import type { RootState } from '../store/store';
import { currentLap, isPlaying } from './playhead';

/** The take that playback shows in this turn instead of the current one; null where that is shown. */
export function takeOfTurn(state: RootState): Comparison | null {
  if (!state.review.compared?.byTurns || !isPlaying() || currentLap() % 2 === 0) return null;
  return selectComparison(state);
}
