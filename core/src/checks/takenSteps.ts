import type { Shot } from '../model/schema';
import { standingPictures } from '../shoot/placements';

export interface TakenStep {
  readonly from: number;
  readonly frame: number;
  /** From where it stood to where it stood, and as it was planned; field units. */
  readonly length: number;
  readonly planned: number;
}

/** The steps of a figure between neighbouring pictures of both of which it is known where it stood. */
export function takenSteps(shot: Shot, moveId: string): readonly TakenStep[] {
  const seen = standingPictures(shot).filter(({ isHidden }) => !isHidden);
  return seen.slice(1).flatMap((taken, i) => {
    const before = seen[i]!;
    const [a, b] = [before, taken].map(({ actuals }) => actuals.find((one) => one.moveId === moveId));
    if (!a || !b) return [];
    return [
      {
        from: before.frame,
        frame: taken.frame,
        length: Math.hypot(b.x - a.x, b.y - a.y),
        planned: Math.hypot(b.planned.x - a.planned.x, b.planned.y - a.planned.y),
      },
    ];
  });
}
