import { sentenceWith } from '../model/frameNumbers';
import { ShotError } from '../model/errors';
import type { Arc, Move, Shot, Take, TakenTiming } from '../model/schema';
import { keptOnArc, syncTiedMarks, untied } from '../timing/keepTiming';
import { keptOf, shotOfTake, withTiming } from '../timing/takes';
import { withShootSettled } from '../shoot/settledShoot';
import { arcEdits } from './arcEdits';
import { withPhysicsSettled } from './physicsEdits';
import { plainArgs } from './plainArgs';

type Change = (shot: Shot, args: never) => Shot;

/** Edits of what all takes share, which every take has to follow: the shapes of arcs, and the rate. */
const FOR_ALL_TAKES: ReadonlySet<string> = new Set([...Object.keys(arcEdits), 'setRate', 'setScale']);

/** A take after the same edit was done to it. @throws ShotError that names the take */
function edited(before: Shot, take: Take, change: (shot: Shot) => Shot): Take {
  try {
    const own = shotOfTake(before, take.id);
    return { ...take, kept: keptOf(withPhysicsSettled(own, change(own))) };
  } catch (error) {
    if (error instanceof ShotError)
      throw new ShotError(error.code, sentenceWith`In “${take.name}”: ${error.sentence}`);
    throw error;
  }
}

const byId = <Part extends { readonly id: string }>(parts: readonly Part[]): ReadonlyMap<string, Part> =>
  new Map(parts.map((part) => [part.id, part]));

interface Parts {
  readonly moves: ReadonlyMap<string, Move>;
  readonly arcs: ReadonlyMap<string, Arc>;
  readonly waiting: ReadonlySet<string>;
  readonly gestures: ReadonlySet<string>;
}

const partsOf = ({ moves, arcs, waiting, gestures }: Shot): Parts => ({
  moves: byId(moves),
  arcs: byId(arcs),
  waiting: new Set(waiting.flatMap(({ move }) => move?.id ?? [])),
  gestures: new Set(gestures.map(({ id }) => id)),
});

function following(timing: TakenTiming, before: Parts, after: Parts): TakenTiming | null {
  const { moveId } = timing;
  const hasGesture = timing.acted === null || after.gestures.has(timing.acted.gestureId);
  const own = hasGesture ? timing : { ...timing, acted: null };
  const move = after.moves.get(moveId);
  if (!move)
    return after.waiting.has(moveId) ? { ...own, marks: untied({ marks: own.marks } as Move).marks } : null;
  const was = before.moves.get(moveId);
  const arc = after.arcs.get(move.arcId)!;
  const arcBefore = was && before.arcs.get(was.arcId);
  if (arcBefore === arc) return own;
  const timed = withTiming(move, own);
  const isSame = was?.arcId === move.arcId && arcBefore !== undefined;
  const moved = isSame ? keptOnArc(timed, arcBefore, arc) : syncTiedMarks(untied(timed), arc);
  return moved.marks === own.marks ? own : { ...own, marks: moved.marks };
}

function withTakesFollowing(before: Shot, after: Shot): Shot {
  const isSame =
    before.moves === after.moves &&
    before.arcs === after.arcs &&
    before.waiting === after.waiting &&
    before.gestures === after.gestures;
  if (isSame) return after;
  const [partsBefore, parts] = [partsOf(before), partsOf(after)];
  const takes = after.takes.map((take): Take => {
    if (!take.kept) return take;
    const timings = take.kept.timings.flatMap((timing) => following(timing, partsBefore, parts) ?? []);
    const isKept = timings.every((timing, i) => timing === take.kept!.timings[i]);
    return isKept && timings.length === take.kept.timings.length
      ? take
      : { ...take, kept: { ...take.kept, timings } };
  });
  return takes.every((take, i) => take === after.takes[i]) ? after : { ...after, takes };
}

function withoutLostNotes(before: Shot, after: Shot): Shot {
  if (before.figures === after.figures) return after;
  const ids = new Set(after.figures.map(({ id }) => id));
  const kept = <Note extends { readonly figureId: string | null }>(
    notes: readonly Note[],
  ): readonly Note[] =>
    notes.every(({ figureId }) => figureId === null || ids.has(figureId))
      ? notes
      : notes.filter(({ figureId }) => figureId === null || ids.has(figureId));
  return {
    ...after,
    notes: kept(after.notes),
    takes: after.takes.map((take) =>
      take.kept ? { ...take, kept: { ...take.kept, notes: kept(take.kept.notes) } } : take,
    ),
  };
}

const settled = (name: string, before: Shot, change: (shot: Shot) => Shot): Shot =>
  name === 'replaceShot' ? change(before) : withShootSettled(before, settledTakes(name, before, change));

function settledTakes(name: string, before: Shot, change: (shot: Shot) => Shot): Shot {
  const after = change(before);
  if (after === before) return after;
  const physical = withPhysicsSettled(before, after);
  // An edit of the takes themselves has said all there is to say of them.
  if (physical.takes.length === 1 || physical.takes !== before.takes)
    return withoutLostNotes(before, physical);
  const followed = FOR_ALL_TAKES.has(name)
    ? { ...physical, takes: before.takes.map((take) => (take.kept ? edited(before, take, change) : take)) }
    : withTakesFollowing(before, physical);
  return withoutLostNotes(before, followed);
}

/** The same edits, told plain texts, after each of which takes, notes and moves by weight fit the rest of the shot. */
export const settledEdits = <Edits extends Readonly<Record<string, Change>>>(edits: Edits): Edits =>
  Object.fromEntries(
    Object.entries(edits).map(([name, change]) => [
      name,
      (shot: Shot, args: never): Shot => {
        const plain = plainArgs(args);
        return settled(name, shot, (own) => change(own, plain));
      },
    ]),
  ) as unknown as Edits;
