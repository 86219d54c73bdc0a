import { currentTake } from '@humble/core';
import { doEdit } from '../store/doEdit';
import { comparisonChosen, PLAIN_COMPARISON } from '../store/reviewSlice';
import { selectOpenShot } from '../store/selectors/active';
import type { AppStore, AppThunk } from '../store/store';

/** Another take to work on. Where it was compared with the one before, that one is compared with it from now on. */
export const chooseTake =
  (takeId: string): AppThunk =>
  (dispatch, getState) => {
    const before = currentTake(selectOpenShot(getState()));
    if (!dispatch(doEdit('chooseTake', { takeId }))) return;
    const { compared } = getState().review;
    if (compared?.with.kind === 'take' && compared.with.takeId === takeId)
      dispatch(comparisonChosen({ ...compared, with: { kind: 'take', takeId: before.id } }));
  };

/**
 * Plays the current take and the one that is compared with it by turns, or both together again. Where none is compared,
 * the first other one is from now on.
 */
export function toggleTurns(store: AppStore): void {
  const { shot, review } = store.getState();
  const other = shot.present.shot?.takes.find(({ kept }) => kept !== null);
  const { compared } = review;
  if (compared) {
    const shows = compared.shows === 'turns' ? 'together' : 'turns';
    store.dispatch(comparisonChosen({ ...compared, shows }));
  } else if (other)
    store.dispatch(
      comparisonChosen({ ...PLAIN_COMPARISON, with: { kind: 'take', takeId: other.id }, shows: 'turns' }),
    );
}
