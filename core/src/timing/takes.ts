import { ShotError } from '../model/errors';
import type { KeptTake, Move, Shot, Take, TakenTiming, Waiting } from '../model/schema';
import { fitted } from './moveChange';

type Timing = Omit<TakenTiming, 'moveId'>;

/** What of a move a take has of its own: all that lies on frames. */
const timingOf = (move: Timing): Timing => ({
  marks: move.marks,
  before: move.before,
  after: move.after,
  framesHeld: move.framesHeld,
  exposures: move.exposures,
  skips: move.skips,
  overrides: move.overrides,
  letBe: move.letBe,
  physics: move.physics,
  drawings: move.drawings,
  cycle: move.cycle,
  acted: move.acted,
  tracks: move.tracks,
});

/** The take that the shot itself says. */
export const currentTake = ({ takes }: Pick<Shot, 'takes'>): Take => takes.find(({ kept }) => kept === null)!;

/** @throws ShotError `unknown-id` */
export function findTake({ takes }: Pick<Shot, 'takes'>, takeId: string): Take {
  const take = takes.find(({ id }) => id === takeId);
  if (!take) throw new ShotError('unknown-id', `The shot has no take ${takeId}.`);
  return take;
}

/** What is to be kept of the current take, so that it can be taken up again. */
export const keptOf = (shot: Shot): KeptTake => ({
  lengthFrames: shot.lengthFrames,
  notes: shot.notes,
  timings: [...shot.moves, ...shot.waiting.flatMap(({ move }) => move ?? [])].map((move) => ({
    moveId: move.id,
    ...timingOf(move),
  })),
});

interface Composed {
  readonly move: Omit<Move, 'arcId'>;
  readonly result: Omit<Move, 'arcId'>;
}

/** The same move and timing give the same object, so that what was worked out for it holds. */
const composed = new WeakMap<TakenTiming, Composed>();

function differsInTimingOnly(a: Omit<Move, 'arcId'>, b: Omit<Move, 'arcId'>): boolean {
  const timed = timingOf(a);
  const keys = Object.keys(a) as (keyof typeof a)[];
  return keys.every((key) => key in timed || a[key] === b[key]);
}

/** A move timed as in a take. */
export function withTiming<M extends Omit<Move, 'arcId'>>(move: M, timing: TakenTiming | undefined): M {
  if (!timing) return move;
  const known = composed.get(timing);
  if (known && (known.move === move || differsInTimingOnly(move, known.move))) return known.result as M;
  const { moveId: _, ...own } = timing;
  const result = { ...move, ...own };
  composed.set(timing, { move, result });
  return result;
}

function withKept(shot: Shot, { lengthFrames, notes, timings }: KeptTake): Shot {
  const byMove = new Map(timings.map((timing) => [timing.moveId, timing]));
  const moves = shot.moves.map((move) => withTiming(move, byMove.get(move.id)));
  const waiting = shot.waiting.map((one): Waiting =>
    one.move ? { ...one, move: withTiming(one.move, byMove.get(one.move.id)) } : one,
  );
  return fitted(shot, { ...shot, lengthFrames, notes, moves, waiting }, [], false);
}

const shotsOfTakes = new WeakMap<Shot, Map<string, Shot>>();

/**
 * The shot as one of its takes has it; the same object for the same shot and take.
 * @throws ShotError `unknown-id`
 */
export function shotOfTake(shot: Shot, takeId: string): Shot {
  const { kept } = findTake(shot, takeId);
  if (!kept) return shot;
  const known = shotsOfTakes.get(shot) ?? new Map<string, Shot>();
  shotsOfTakes.set(shot, known);
  const found = known.get(takeId) ?? withTakeChosen(shot, takeId);
  known.set(takeId, found);
  return found;
}

/** The shot with another take as the current one; the one before is kept. @throws ShotError `unknown-id` */
export function withTakeChosen(shot: Shot, takeId: string): Shot {
  const { kept } = findTake(shot, takeId);
  if (!kept) return shot;
  const mine = keptOf(shot);
  const takes = shot.takes.map((take): Take => {
    if (take.id === takeId) return { ...take, kept: null };
    return take.kept ? take : { ...take, kept: mine };
  });
  return { ...withKept(shot, kept), takes };
}
