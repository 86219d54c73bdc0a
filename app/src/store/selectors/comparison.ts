import { type Shot, shotOfTake, type Travel } from '@humble/core';
import { type Apart, differenceOn, takeShift } from '@humble/core/views';
import type { Compared, ComparedWith } from '../reviewSlice';
import type { RootState } from '../store';
import { lruMemoize } from '@reduxjs/toolkit';
import { selectActiveMove } from './active';

export interface Comparison {
  /** Of the other take, or when the other version was saved. */
  readonly name: string;
  /** Null for an earlier version. */
  readonly takeId: string | null;
  readonly other: Shot;
  readonly shift: number;
}

function otherOf(shot: Shot, named: ComparedWith): Omit<Comparison, 'shift'> | null {
  if (named.kind === 'version') return { name: named.name, takeId: null, other: named.shot };
  const take = shot.takes.find(({ id }) => id === named.takeId);
  return take?.kept ? { name: take.name, takeId: take.id, other: shotOfTake(shot, take.id) } : null;
}

const compared = lruMemoize(
  (shot: Shot, { with: named, align }: Compared, moveId: string | null): Comparison | null => {
    const found = otherOf(shot, named);
    if (!found) return null;
    // A mark that one of them lacks leaves both at their starts.
    return { ...found, shift: (moveId !== null && takeShift(shot, found.other, moveId, align)) || 0 };
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
