import { takeCompared } from '../store/reviewSlice';
import type { AppStore } from '../store/store';

/**
 * Plays the current take and the one that is compared with it by turns, or both together again. Where none is compared,
 * the first other one is from now on.
 */
export function toggleTurns(store: AppStore): void {
  const { shot, review } = store.getState();
  const other = shot.present.shot?.takes.find(({ kept }) => kept !== null);
  const { compared } = review;
  if (compared) store.dispatch(takeCompared({ ...compared, byTurns: !compared.byTurns }));
  else if (other) store.dispatch(takeCompared({ takeId: other.id, align: { at: 'start' }, byTurns: true }));
}
