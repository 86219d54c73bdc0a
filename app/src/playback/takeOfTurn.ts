import { type Comparison, selectComparison } from '../store/selectors/comparison';
import type { RootState } from '../store/store';
import { currentLap, isPlaying } from './playhead';

/** What is shown instead of the current take: alone, or in this turn of playback. Null where the current one is shown. */
export function takeOfTurn(state: RootState): Comparison | null {
  const shows = state.review.compared?.shows;
  const isItsTurn = shows === 'turns' && isPlaying() && currentLap() % 2 === 1;
  return shows === 'alone' || isItsTurn ? selectComparison(state) : null;
}
