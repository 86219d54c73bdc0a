import type { ShotFinding } from '@humble/core/checks';
import { memoizeLast } from '../render/memoizeLast';
import { activeMoveIn } from './hooks';
import type { Checked } from './reviewSlice';
import type { RootState } from './store';

const NONE: readonly ShotFinding[] = [];

const ofMove = memoizeLast((checked: Checked | null, moveId: string | undefined) =>
  checked && moveId !== undefined
    ? checked.findings.filter((finding) => finding.moveId === moveId && !finding.isLetBe)
    : NONE,
);

/** What the checks found last in the active move and nobody let be. */
export const activeFindingsIn = (state: RootState): readonly ShotFinding[] =>
  ofMove(state.review.checked, activeMoveIn(state)?.id);
