import type { UnrolledArc } from '@humble/core';
import { remembered } from '../../../state/live';
import type { RootState } from '../../../state/store';
import { timingIn } from './timingIn';

/** A live path that follows the active move's ruler; worked out again only when that changes. */
export function followRuler(work: (ruler: UnrolledArc) => string): (state: RootState) => string {
  const kept = remembered(work);
  return (state) => {
    const ruler = timingIn(state)?.ruler;
    return ruler ? kept(ruler) : '';
  };
}

/** The same for what depends on which marks are selected, too. */
export function followMarks(
  work: (ruler: UnrolledArc, selectedIds: readonly string[]) => string,
): (state: RootState) => string {
  const kept = remembered(work);
  return (state) => {
    const ruler = timingIn(state)?.ruler;
    return ruler ? kept(ruler, state.hand.selectedMarkIds) : '';
  };
}
