import { type Shot, shotOfTake, type Take, type Travel } from '@humble/core';
import { type Apart, differenceOn, takeShift } from '@humble/core/views';
import type { Compared } from '../reviewSlice';
import type { RootState } from '../store';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from './active';

export interface Comparison {
  readonly take: Take;
  readonly other: Shot;
  readonly shift: number;
}

const compared = lruMemoize(
  (shot: Shot, { takeId, align }: Compared, moveId: string | null): Comparison | null => {
    const take = shot.takes.find(({ id }) => id === takeId);
    if (!take?.kept) return null;
    const other = shotOfTake(shot, takeId);
    // A mark that one of them lacks leaves both at their starts.
    return { take, other, shift: (moveId !== null && takeShift(shot, other, moveId, align)) || 0 };
  },
);

export function selectComparison(state: RootState): Comparison | null {
  const { shot } = state.shot.present;
  const { compared: asked } = state.review;
  return shot && asked ? compared(shot, asked, selectActiveMove(state)?.id ?? null) : null;
}

/** How far the active figure is on a frame from where it is in the take it is compared with. */
export function selectDifferenceOn(state: RootState, frame: number): Apart | null {
  const comparison = selectComparison(state);
  const move = selectActiveMove(state);
  const { shot } = state.shot.present;
  if (!comparison || !move || !shot) return null;
  return differenceOn(shot, comparison.other, { moveId: move.id, shift: comparison.shift, frame });
}

export function seenFrameOf({ shown }: Travel, frame: number, shift = 0): number {
  return shown[Math.max(1, Math.min(frame - shift, shown.length)) - 1]!;
}
