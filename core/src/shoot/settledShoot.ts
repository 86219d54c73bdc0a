import type { Shot, Taken } from '../model/schema';
import { currentTake } from '../timing/takes';

/**
 * The shot with its pictures fitting the rest of it: those of a take that is gone are set aside in the current one, and
 * what is known of a figure that is gone is dropped.
 */
export function withShootSettled(before: Shot, after: Shot): Shot {
  const { pictures } = after.shoot;
  const isSame =
    before.moves === after.moves && before.waiting === after.waiting && before.takes === after.takes;
  if (pictures.length === 0 || isSame) return after;
  const moves = new Set([
    ...after.moves.map(({ id }) => id),
    ...after.waiting.flatMap(({ move }) => move?.id ?? []),
  ]);
  const takes = new Set(after.takes.map(({ id }) => id));
  const settled = pictures.map((taken): Taken => {
    const actuals = taken.actuals.filter(({ moveId }) => moves.has(moveId));
    const isWhole = actuals.length === taken.actuals.length;
    const kept = isWhole ? taken : { ...taken, actuals };
    return takes.has(taken.takeId) ? kept : { ...kept, takeId: currentTake(after).id, isSetAside: true };
  });
  return settled.every((taken, i) => taken === pictures[i])
    ? after
    : { ...after, shoot: { ...after.shoot, pictures: settled } };
}
