import { type Shot, shotOfTake, type Take, type Travel } from '@humble/core';
import { takeShift } from '@humble/core/views';
import { memoizeLast } from '../render/memoizeLast';
import { currentLap, isPlaying } from '../playback/playhead';
import { activeMoveIn } from './hooks';
import type { Compared } from './reviewSlice';
import type { RootState } from './store';

/** Another take beside the current one. */
export interface Comparison {
  readonly take: Take;
  /** The shot as that take has it. */
  readonly other: Shot;
  /** By how many frames the other take comes later than it would by itself. */
  readonly shift: number;
}

const compared = memoizeLast(
  (shot: Shot, { takeId, align }: Compared, moveId: string | null): Comparison | null => {
    const take = shot.takes.find(({ id }) => id === takeId);
    if (!take?.kept) return null;
    const other = shotOfTake(shot, takeId);
    // A mark that one of them lacks leaves both at their starts.
    return { take, other, shift: (moveId !== null && takeShift(shot, other, moveId, align)) || 0 };
  },
);

/** The take that is compared with the current one; null for none, or where it has become the current one. */
export function comparisonIn(state: RootState): Comparison | null {
  const { shot } = state.shot.present;
  const { compared: asked } = state.review;
  return shot && asked ? compared(shot, asked, activeMoveIn(state)?.id ?? null) : null;
}

/** The take that playback shows in this turn instead of the current one; null where that is shown. */
export function takeOfTurn(state: RootState): Comparison | null {
  if (!state.review.compared?.byTurns || !isPlaying() || currentLap() % 2 === 0) return null;
  return comparisonIn(state);
}

/** The frame of a travel that is seen on a frame of the current take. */
export function seenFrameOf({ shown }: Travel, frame: number, shift = 0): number {
  return shown[Math.max(1, Math.min(frame - shift, shown.length)) - 1]!;
}
