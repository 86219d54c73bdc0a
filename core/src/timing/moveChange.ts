import { ShotError, outOfRange } from '../model/errors';
import { lastFrame } from './placeInTime';
import { changePart, findArc } from '../model/parts';
import { MAX_SHOT_FRAMES } from '../model/limits';
import { type Arc, type Mark, type Move, type Shot } from '../model/schema';

export type OfMove = { readonly moveId: string };
export type OfMark = OfMove & { readonly markId: string };
export type OfMarks = OfMove & { readonly markIds: readonly string[] };
export type TakesLater = { readonly takesLater: boolean };

/** @throws ShotError `unknown-id` */
export function findMove(shot: Shot, id: string): Move {
  const move = shot.moves.find((candidate) => candidate.id === id);
  if (!move) throw new ShotError('unknown-id', `The shot has no move ${id}.`);
  return move;
}

const framesFor = (shot: Shot, move: Move): number =>
  lastFrame(move) - (findArc(shot, move.arcId).closed ? 1 : 0);

/**
 * The shot long enough for its moves; as long as they are where one filled it before and `goesAlong`.
 * @throws ShotError `out-of-range`
 */
export function fitted(before: Shot, after: Shot, changed: readonly Move[], goesAlong: boolean): Shot {
  const needed = after.moves.map((move) => framesFor(after, move));
  const filled = changed.some((move) => lastFrame(move) >= before.lengthFrames);
  const lengthFrames = Math.max(goesAlong && filled ? 2 : after.lengthFrames, ...needed);
  if (lengthFrames > MAX_SHOT_FRAMES) throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
  return { ...after, lengthFrames };
}

/**
 * The shot with a changed move. It grows when the move needs more frames. When the move becomes shorter or
 * longer as a whole (`goesAlong`) and filled the shot before, the shot's length goes along with it, as far
 * as the other moves allow.
 */
export function withMove(shot: Shot, moveId: string, change: (move: Move) => Move, goesAlong = false): Shot {
  const before = findMove(shot, moveId);
  const after = change(before);
  if (after === before) return shot;
  const moves = shot.moves.map((move) => (move === before ? after : move));
  return fitted(shot, { ...shot, moves }, [before], goesAlong);
}

/**
 * The same for one move, or for the moves of all figures (null), those included that ride no arc now.
 * @param change gets the arc of the move, null for one that has none
 */
export function withMoves(
  shot: Shot,
  moveId: string | null,
  change: (move: Move, arc: Arc | null) => Move,
  goesAlong = false,
): Shot {
  if (moveId !== null)
    return withMove(shot, moveId, (move) => change(move, findArc(shot, move.arcId)), goesAlong);
  const moves = shot.moves.map((move) => change(move, findArc(shot, move.arcId)));
  const waiting = shot.waiting.map((one) => {
    if (!one.move) return one;
    const { arcId: _, ...move } = change({ ...one.move, arcId: '' }, null);
    return { ...one, move };
  });
  return fitted(shot, { ...shot, moves, waiting }, shot.moves, goesAlong);
}

/** A place on an arc as it may be: an open one ends at its ends. */
export function onArc(shot: Shot, move: Move, fraction: number): number {
  return findArc(shot, move.arcId).closed ? fraction : Math.min(1, Math.max(0, fraction));
}

/** The move with one of its marks changed. @throws ShotError `unknown-id` */
export const withMark = (move: Move, markId: string, change: (mark: Mark) => Mark): Move => ({
  ...move,
  marks: changePart(move.marks, markId, change),
});

/** Whether a move goes round a closed arc. */
export const isRound = (shot: Shot, move: Move): boolean => findArc(shot, move.arcId).closed;
