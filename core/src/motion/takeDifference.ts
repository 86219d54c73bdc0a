import type { Shot } from '../model/schema';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import { evaluate, type Travel, travelOfMove } from './evaluate';

/** Two takes of different lengths are laid on each other at their starts, their ends, or at a mark that both have. */
export type TakesAlign =
  { readonly at: 'start' } | { readonly at: 'end' } | { readonly at: 'mark'; readonly markId: string };

export interface FrameDifference {
  readonly frame: number;
  /** From pivot to pivot as both are seen, field units. */
  readonly away: number;
}

/**
 * By how many frames the other take comes later than it would by itself; null where a mark is missing in one of them.
 * @param moveId the move whose marks, or whose ends, are laid on each other
 */
export function takeShift(current: Shot, other: Shot, moveId: string, align: TakesAlign): number | null {
  const [mine, its] = [current, other].map(({ moves }) => moves.find(({ id }) => id === moveId));
  if (!mine || !its) return null;
  switch (align.at) {
    case 'start':
      return firstFrame(mine) - firstFrame(its);
    case 'end':
      return lastFrame(mine) - lastFrame(its);
    case 'mark': {
      const [a, b] = [mine, its].map(({ marks }) => marks.find(({ id }) => id === align.markId)?.frame);
      return a === undefined || b === undefined ? null : a - b;
    }
  }
}

const seenAt = ({ shown }: Travel, frame: number): number | null =>
  frame < 1 || frame > shown.length ? null : shown[frame - 1]! - 1;

/** How far apart a figure is on a frame in two takes, and by how much it is further along its arc. Field units. */
export interface Apart {
  readonly away: number;
  /** Positive where the current take is ahead. */
  readonly ahead: number;
}

/**
 * How far a figure is on a frame from where it is in another take; null where one of them is not there.
 * @param shift frames by which the other take comes later, see `takeShift`
 */
export function differenceOn(
  current: Shot,
  other: Shot,
  { moveId, shift, frame }: { readonly moveId: string; readonly shift: number; readonly frame: number },
): Apart | null {
  const mine = travelOfMove(evaluate(current), moveId);
  const its = travelOfMove(evaluate(other), moveId);
  return mine && its ? between(mine, its, frame, shift) : null;
}

function between(mine: Travel, its: Travel, frame: number, shift: number): Apart | null {
  const [a, b] = [seenAt(mine, frame), seenAt(its, frame - shift)];
  if (a === null || b === null) return null;
  return {
    away: Math.hypot(mine.pivotX[a]! - its.pivotX[b]!, mine.pivotY[a]! - its.pivotY[b]!),
    ahead: mine.arcDistance[a]! - its.arcDistance[b]!,
  };
}

/**
 * How far a figure is from where it is in another take, frame by frame where both are.
 * @param shift frames by which the other take comes later, see `takeShift`
 */
export function takeDifference(
  current: Shot,
  other: Shot,
  moveId: string,
  shift: number,
): readonly FrameDifference[] {
  const mine = travelOfMove(evaluate(current), moveId);
  const its = travelOfMove(evaluate(other), moveId);
  if (!mine || !its) return [];
  return Array.from({ length: current.lengthFrames }, (_, i) => i + 1).flatMap((frame) => {
    const apart = between(mine, its, frame, shift);
    return apart === null ? [] : [{ frame, away: apart.away }];
  });
}

export const largestDifference = (rows: readonly FrameDifference[]): FrameDifference | null =>
  rows.reduce<FrameDifference | null>((best, row) => (best && best.away >= row.away ? best : row), null);
