import { cornersFault } from '../arc/homography';
import { distance, type Vector } from '../arc/vector';
import { pointAtDistance } from '../arc/arcMeasure';
import { outOfRange, ShotError } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_TAKEN, MAX_TAKES } from '../model/limits';
import { changePart } from '../model/parts';
import type { Perspective, Picture, Shot, Taken } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { plannedOn, placeOfActual, standOn } from '../shoot/deviation';
import { inStepAfter, withFramesBefore, withoutFrames } from '../shoot/laterFrames';
import { latestPicture, placementsLeft, standingPictures } from '../shoot/placements';
import { replanned, type ReplanWay } from '../shoot/replan';
import { cornersOf } from '../shoot/setReading';
import { findMove, type OfMove, withMove } from '../timing/moveChange';
import { currentTake, keptOf } from '../timing/takes';
import { withPose } from '../pose/pose';

type OfTaken = { readonly takenId: string };

/** Name of the take that keeps the plan as it was before the first replanning. */
export const AS_PLANNED = 'As planned';

const withPictures = (shot: Shot, pictures: readonly Taken[]): Shot => ({
  ...shot,
  shoot: { ...shot.shoot, pictures },
});

const changeTaken = (shot: Shot, takenId: string, change: (taken: Taken) => Taken): Shot =>
  withPictures(shot, changePart(shot.shoot.pictures, takenId, change));

/** @throws ShotError `unknown-id` */
function findTaken(shot: Shot, takenId: string): Taken {
  const taken = shot.shoot.pictures.find(({ id }) => id === takenId);
  if (!taken) throw new ShotError('unknown-id', `The shot has no picture ${takenId}.`);
  return taken;
}

/** Where the last picture of the current take is, and what comes after it. @throws ShotError `out-of-range` */
function latest(shot: Shot): { readonly last: Taken; readonly next: number } {
  const last = latestPicture(shot);
  if (!last) throw outOfRange('No picture has been taken yet.');
  return { last, next: last.frame + last.framesHeld };
}

/** The shot with its plan as it is kept as a take of its own, unless one was kept before. */
function withPlanKept(shot: Shot): Shot {
  if (shot.takes.some(({ name }) => name === AS_PLANNED)) return shot;
  if (shot.takes.length >= MAX_TAKES)
    throw outOfRange(
      `A shot has at most ${MAX_TAKES} takes: remove one, so that the plan can be kept as it was.`,
    );
  const kept = { id: freshId('take', shot.takes), name: AS_PLANNED, kept: keptOf(shot) };
  return { ...shot, takes: [...shot.takes, kept] };
}

export const shootEdits = {
  /**
   * A picture taken for the next placement of the current take.
   * @param args.actuals where figures stood on it, where that is known already
   * @throws ShotError `out-of-range` when all pictures are taken, or there are too many
   */
  takePicture: (
    shot: Shot,
    args: {
      readonly picture: Picture;
      readonly actuals?: readonly (OfMove & Vector)[];
    },
  ): Shot => {
    if (shot.shoot.pictures.length >= MAX_TAKEN)
      throw outOfRange(`A shot keeps at most ${MAX_TAKEN} pictures that were taken.`);
    const next = placementsLeft(shot)[0];
    if (!next)
      throw outOfRange('All pictures of this shot are taken: make it longer, or reshoot from a picture.');
    const taken: Taken = {
      id: freshId('taken', shot.shoot.pictures),
      takeId: currentTake(shot).id,
      ...next,
      picture: args.picture,
      isHidden: false,
      isSetAside: false,
      actuals: [],
    };
    const shots = withPictures(shot, [...shot.shoot.pictures, taken]);
    return (args.actuals ?? []).reduce(
      (one, actual) => shootEdits.setActual(one, { takenId: taken.id, ...actual }),
      shots,
    );
  },

  /** Where a figure really stood on a picture: its pivot, field units. */
  setActual: (shot: Shot, { takenId, moveId, x, y }: OfTaken & OfMove & Vector): Shot => {
    const move = findMove(shot, moveId);
    return changeTaken(shot, takenId, (taken) => {
      const before = taken.actuals.find((one) => one.moveId === moveId);
      const planned = before?.planned ?? plannedOn(shot, move, taken.frame);
      const others = taken.actuals.filter((one) => one.moveId !== moveId);
      return { ...taken, actuals: [...others, { moveId, x, y, planned }] };
    });
  },

  /**
   * The same by what was measured along the arc from where it stood before, field units.
   * @throws ShotError `out-of-range` for the first picture, or past the end of an open arc
   */
  setActualStep: (
    shot: Shot,
    { takenId, moveId, along }: OfTaken & OfMove & { readonly along: number },
  ): Shot => {
    const taken = findTaken(shot, takenId);
    const pictures = standingPictures(shot);
    const before = pictures[pictures.findIndex(({ id }) => id === takenId) - 1];
    if (!before) throw outOfRange('Nothing was placed before the first picture: there is no step to it.');
    const move = findMove(shot, moveId);
    const { arc, arcDistance, arcLength } = evaluateMove(shot, move);
    const plannedBefore = arcDistance[before.frame - 1]!;
    const actual = before.actuals.find((one) => one.moveId === moveId);
    const from = actual
      ? standOn(shot, move, placeOfActual(shot, move, before.frame, actual), plannedBefore).s
      : plannedBefore;
    const s = from + along;
    if (!arc.closed && (s < 0 || s > arcLength))
      throw outOfRange('So far along it would stand past the end of its arc.');
    const place = pointAtDistance(arc, s);
    const { x: zeroX, y: zeroY } = placeOfActual(shot, move, taken.frame, { x: 0, y: 0 });
    return shootEdits.setActual(shot, { takenId, moveId, x: place.x - zeroX, y: place.y - zeroY });
  },

  /** It stood as planned: what was told of it is dropped. */
  standsAsPlanned: (shot: Shot, { takenId, moveId }: OfTaken & OfMove): Shot =>
    changeTaken(shot, takenId, (taken) => ({
      ...taken,
      actuals: taken.actuals.filter((one) => one.moveId !== moveId),
    })),

  hideTaken: (shot: Shot, { takenId, isHidden }: OfTaken & { readonly isHidden: boolean }): Shot =>
    changeTaken(shot, takenId, (taken) => ({ ...taken, isHidden })),

  /**
   * Holds a picture for so many frames. Pictures after it and all that is still planned move along.
   * @throws ShotError `out-of-range`
   */
  holdTaken: (shot: Shot, { takenId, frames }: OfTaken & { readonly frames: number }): Shot => {
    const taken = findTaken(shot, takenId);
    if (!Number.isInteger(frames) || frames < 1)
      throw outOfRange('A picture is held for at least one frame.');
    const by = frames - taken.framesHeld;
    if (by === 0) return shot;
    const end = taken.frame + taken.framesHeld;
    const retimed =
      by > 0
        ? withFramesBefore(shot, { frame: end, since: taken.frame, share: 0 }, by)
        : withoutFrames(shot, end + by, -by);
    const inStep = retimed.moves.map((move) => inStepAfter(move, { frame: taken.frame, frames, by }));
    return withPictures(
      { ...retimed, moves: inStep },
      retimed.shoot.pictures.map((one) => {
        if (one.id === takenId) return { ...one, framesHeld: frames };
        return one.takeId === taken.takeId && one.frame >= end ? { ...one, frame: one.frame + by } : one;
      }),
    );
  },

  /** Leaves the next placement out: its way is added to that of the one after it. @throws ShotError `out-of-range` */
  skipPlacement: (shot: Shot, _: object): Shot => {
    const [next, after] = placementsLeft(shot);
    if (!next || !after) throw outOfRange('There is no picture after the next one: it cannot be skipped.');
    if (next.frame === 1)
      throw outOfRange('The first picture cannot be skipped: it is where the shot begins.');
    return withoutFrames(shot, next.frame, next.framesHeld);
  },

  /** The last picture is to be taken once more where everything stands; what is planned comes later. @throws ShotError */
  repeatPlacement: (shot: Shot, _: object): Shot => {
    const { last, next } = latest(shot);
    return withFramesBefore(shot, { frame: next, since: last.frame, share: 0 }, last.framesHeld);
  },

  /** A further placement half-way to the next one. @throws ShotError `out-of-range` when there is none */
  insertPlacement: (shot: Shot, _: object): Shot => {
    const { last, next } = latest(shot);
    if (placementsLeft(shot).length === 0)
      throw outOfRange('After the last picture there is nothing to go half-way to.');
    return withFramesBefore(shot, { frame: next, since: last.frame, share: 0.5 }, last.framesHeld);
  },

  /** The pictures of the current take from a frame on are set aside, and taken once more. */
  shootOverFrom: (shot: Shot, { frame }: { readonly frame: number }): Shot => {
    const over = new Set(standingPictures(shot).flatMap((taken) => (taken.frame >= frame ? [taken.id] : [])));
    return withPictures(
      shot,
      shot.shoot.pictures.map((taken) => (over.has(taken.id) ? { ...taken, isSetAside: true } : taken)),
    );
  },

  /** Puts a picture that was shot over back; the one that stands on its frame is set aside for it. */
  bringTakenBack: (shot: Shot, { takenId }: OfTaken): Shot => {
    const back = findTaken(shot, takenId);
    const [from, until] = [back.frame, back.frame + back.framesHeld];
    return withPictures(
      shot,
      shot.shoot.pictures.map((taken) => {
        if (taken.id === takenId) return { ...taken, takeId: currentTake(shot).id, isSetAside: false };
        const isThere =
          taken.takeId === currentTake(shot).id &&
          taken.frame < until &&
          taken.frame + taken.framesHeld > from;
        return isThere ? { ...taken, isSetAside: true } : taken;
      }),
    );
  },

  /**
   * Plans the rest of a move anew from where its figure really stood on a picture. The plan as it was is kept as a take.
   * @throws ShotError `out-of-range`
   */
  replan: (shot: Shot, { takenId, moveId, way }: OfTaken & OfMove & { readonly way: ReplanWay }): Shot => {
    const taken = findTaken(shot, takenId);
    const actual = taken.actuals.find((one) => one.moveId === moveId);
    if (!actual) throw outOfRange('Say first where the figure really stands: tap there in the picture.');
    const move = findMove(shot, moveId);
    const { arcDistance, arcLength } = evaluateMove(shot, move);
    if (arcLength === 0) throw outOfRange('Its arc has no length: there is nothing to plan anew.');
    const place = placeOfActual(shot, move, taken.frame, actual);
    const { s } = standOn(shot, move, place, arcDistance[taken.frame - 1]!);
    const next = withMove(withPlanKept(shot), moveId, (one) =>
      replanned(one, shot, { frame: taken.frame, fraction: s / arcLength, way }),
    );
    return next;
  },

  /** The arc goes through where a figure really stood on a picture. The plan as it was is kept as a take. */
  arcThroughActual: (shot: Shot, { takenId, moveId }: OfTaken & OfMove): Shot => {
    const taken = findTaken(shot, takenId);
    const actual = taken.actuals.find((one) => one.moveId === moveId);
    if (!actual) throw outOfRange('Say first where the figure really stands: tap there in the picture.');
    const to = placeOfActual(shot, findMove(shot, moveId), taken.frame, actual);
    return withPose(withPlanKept(shot), { moveId, frame: taken.frame, to, path: 'curved' });
  },

  /**
   * Four spots of a sheet that lies flat on the set, and its size; null for none. A field without a scale gets that of the
   * sheet's upper edge.
   * @throws ShotError `out-of-range` where the corners are none of a sheet
   */
  setPerspective: (shot: Shot, { perspective }: { readonly perspective: Perspective | null }): Shot => {
    if (!perspective) return { ...shot, shoot: { ...shot.shoot, perspective } };
    const fault = cornersFault(cornersOf(perspective));
    if (fault) throw outOfRange(fault);
    const { upperLeft, upperRight, widthMm } = perspective;
    const unitsPerMm = shot.field.unitsPerMm ?? distance(upperLeft, upperRight) / widthMm;
    return { ...shot, field: { ...shot.field, unitsPerMm }, shoot: { ...shot.shoot, perspective } };
  },
} as const;
