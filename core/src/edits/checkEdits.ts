import { outOfRange } from '../model/errors';
import { thresholdsFault } from '../model/plainShot';
import type { Shot, Thresholds } from '../model/schema';
import { type OfMove, withMove } from '../timing/moveChange';

type OfFinding = OfMove & { readonly check: string };

export const checkEdits = {
  setThresholds: (shot: Shot, some: Partial<Thresholds>): Shot => {
    const thresholds = { ...shot.thresholds, ...some };
    const fault = thresholdsFault(thresholds);
    if (fault) throw outOfRange(fault);
    return { ...shot, thresholds };
  },

  letBe: (shot: Shot, { moveId, check, frame }: OfFinding & { readonly frame: number }): Shot =>
    withMove(shot, moveId, (move) =>
      move.letBe.some((one) => one.check === check && one.frame === frame)
        ? move
        : { ...move, letBe: [...move.letBe, { check, frame }] },
    ),

  tellAgain: (
    shot: Shot,
    { moveId, check, from, until }: OfFinding & { readonly from: number; readonly until: number },
  ): Shot =>
    withMove(shot, moveId, (move) => ({
      ...move,
      letBe: move.letBe.filter((one) => one.check !== check || one.frame < from || one.frame > until),
    })),
} as const;
