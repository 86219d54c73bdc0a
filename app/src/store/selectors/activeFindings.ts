import type { ShotFinding } from '@humble/core/checks';
import type { Checked } from '../reviewSlice';
import type { RootState } from '../store';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from './active';

const NONE: readonly ShotFinding[] = [];

const ofMove = lruMemoize((checked: Checked | null, moveId: string | undefined) =>
  checked && moveId !== undefined
    ? checked.findings.filter((finding) => finding.moveId === moveId && !finding.isLetBe)
    : NONE,
);

export const selectActiveFindings = (state: RootState): readonly ShotFinding[] =>
  ofMove(state.review.checked, selectActiveMove(state)?.id);
