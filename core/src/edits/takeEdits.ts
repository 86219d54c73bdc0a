import { outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_NAME_LENGTH, MAX_TAKES } from '../model/limits';
import { changePart } from '../model/parts';
import type { Shot } from '../model/schema';
import { currentTake, findTake, keptOf, withTakeChosen } from '../timing/takes';

type OfTake = { readonly takeId: string };

function checkedName(name: string): string {
  const trimmed = name.trim();
  if (trimmed === '' || trimmed.length > MAX_NAME_LENGTH)
    throw outOfRange(`A take has a name of at most ${MAX_NAME_LENGTH} letters.`);
  return trimmed;
}

function freshName({ takes }: Shot): string {
  const names = new Set(takes.map(({ name }) => name));
  let number = takes.length + 1;
  while (names.has(`Take ${number}`)) number++;
  return `Take ${number}`;
}

export const takeEdits = {
  addTake: (shot: Shot, { name }: { readonly name?: string }): Shot => {
    if (shot.takes.length >= MAX_TAKES) throw outOfRange(`A shot has at most ${MAX_TAKES} takes.`);
    const current = currentTake(shot);
    const fresh = {
      id: freshId('take', shot.takes),
      name: name === undefined ? freshName(shot) : checkedName(name),
      kept: null,
    };
    return {
      ...shot,
      takes: shot.takes.flatMap((take) =>
        take === current ? [{ ...take, kept: keptOf(shot) }, fresh] : take,
      ),
    };
  },

  /** @throws ShotError `unknown-id`, `out-of-range` */
  renameTake: (shot: Shot, { takeId, name }: OfTake & { readonly name: string }): Shot => {
    const next = checkedName(name);
    return { ...shot, takes: changePart(shot.takes, takeId, (take) => ({ ...take, name: next })) };
  },

  chooseTake: (shot: Shot, { takeId }: OfTake): Shot => withTakeChosen(shot, takeId),

  /** The last one stays; of the current one's neighbours one takes its place. @throws ShotError */
  removeTake: (shot: Shot, { takeId }: OfTake): Shot => {
    const take = findTake(shot, takeId);
    if (shot.takes.length === 1) throw outOfRange('A shot needs at least one take.');
    const index = shot.takes.indexOf(take);
    const next = shot.takes[index + 1] ?? shot.takes[index - 1]!;
    const other = take.kept ? shot : withTakeChosen(shot, next.id);
    return { ...other, takes: other.takes.filter(({ id }) => id !== takeId) };
  },
} as const;
