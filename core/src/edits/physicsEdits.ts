import { ShotError, outOfRange } from '../model/errors';
import { findArc } from '../model/parts';
import { PLAIN_TIMING } from '../model/plainTiming';
import type { Arc, Move, Physics, Shot } from '../model/schema';
import { type Course, courseOn, isPhysical, type PhysicalShape } from '../physics/course';
import { miniatureTime } from '../physics/gravity';
import { roundedMoments, withCourse } from '../physics/onFrames';
import type { RoundedMark } from '../timing/frameMap';
import { firstFrame } from '../timing/placeInTime';
import { findMove, type OfMove, withMove } from '../timing/moveChange';
import { arcEdits } from './arcEdits';

interface Prepared {
  readonly shot: Shot;
  readonly course: Course;
  readonly framesPerSecond: number;
}

function prepared(shot: Shot, { moveId, miniature, ...options }: OfMove & Physics): Prepared {
  const { arcId } = findMove(shot, moveId);
  const { shape } = findArc(shot, arcId);
  const { unitsPerMm } = shot.field;
  if (!isPhysical(shape))
    throw outOfRange('Only a line, a swing, a toss or bounces can be timed by their weight.');
  if (unitsPerMm === null)
    throw outOfRange('How long it takes depends on its size: set the scale of the field first.');
  if (!(miniature > 0) || !Number.isInteger(options.swings) || options.swings < 1)
    throw outOfRange('The scale of a miniature must be above 0, and a pendulum swings at least once.');
  const fits = shape.kind === 'swing' ? { ...shape, toDeg: -shape.fromDeg } : shape;
  const whole = fits === shape ? shot : arcEdits.shapeArc(shot, { arcId, shape: fits });
  return {
    shot: whole,
    course: courseOn(fits, findArc(whole, arcId), unitsPerMm, options),
    framesPerSecond: shot.rate * miniatureTime(miniature),
  };
}

export interface PhysicalTiming {
  /** Of the film, seconds. */
  readonly seconds: number;
  /** Intervals, before they are rounded. */
  readonly frames: number;
  readonly rounded: readonly RoundedMark[];
}

/** What a physical timing would come to. @throws ShotError as `timePhysically` */
export function physicalTiming(shot: Shot, args: OfMove & Physics): PhysicalTiming {
  const { course, framesPerSecond } = prepared(shot, args);
  const first = firstFrame(findMove(shot, args.moveId));
  const frames = course.moments[course.moments.length - 1]!.seconds * framesPerSecond;
  const rounded = roundedMoments(course, first, framesPerSecond).filter(({ by }) => Math.abs(by) > 0.005);
  return { seconds: frames / shot.rate, frames, rounded };
}

export function plannedTiming(
  shot: Shot,
  { shape, ...physics }: Physics & { readonly shape: PhysicalShape },
): PhysicalTiming {
  const drawn = arcEdits.drawArc(shot, { shape });
  return physicalTiming(drawn, { moveId: drawn.moves[drawn.moves.length - 1]!.id, ...physics });
}

/** A move timed anew by its weight; what lies on its frames besides its marks stays. @throws ShotError as `timePhysically` */
export function retimed(shot: Shot, moveId: string, physics: Physics): Shot {
  const { shot: whole, course, framesPerSecond } = prepared(shot, { moveId, ...physics });
  return withMove(whole, moveId, (move) => ({ ...withCourse(move, course, framesPerSecond), physics }), true);
}

/** A move that was timed by its weight, after an edit: timed anew where what it depends on changed, plain where its marks did. */
function afterEdit(before: Shot, after: Shot, move: Move): Shot {
  const was = before.moves.find(({ id }) => id === move.id);
  const arcIn = (shot: Shot): Arc | undefined => shot.arcs.find(({ id }) => id === move.arcId);
  if (!move.physics || !was || was.physics !== move.physics) return after;
  const plain = (): Shot => withMove(after, move.id, (one) => ({ ...one, physics: null }));
  if (!isPhysical(arcIn(after)?.shape ?? null) || after.field.unitsPerMm === null) return plain();
  const isOther =
    arcIn(before) !== arcIn(after) ||
    before.rate !== after.rate ||
    before.field.unitsPerMm !== after.field.unitsPerMm;
  if (!isOther) return was.marks === move.marks ? after : plain();
  try {
    return retimed(after, move.id, move.physics);
  } catch (error) {
    if (error instanceof ShotError) return plain();
    throw error;
  }
}

export const withPhysicsSettled = (before: Shot, after: Shot): Shot =>
  after.moves.reduce((shot, move) => (move.physics ? afterEdit(before, shot, move) : shot), after);

/** Edits that time a move by the laws that move things. */
export const physicsEdits = {
  /**
   * Times a move on a ready shape as what swings, is tossed, bounces, falls or rolls on it: true to the millimetres of the
   * field, on whole frames. It stays so, and is timed anew with its shape, the rate and the scale, until one of its marks
   * is touched. A pendulum's arc reaches as far to the other side as it is let go from.
   * @throws ShotError `out-of-range` for another shape, a field without a scale, or where nothing would move
   */
  timePhysically: (shot: Shot, { moveId, damping, swings, rolls, miniature }: OfMove & Physics): Shot => {
    const isFirst = findMove(shot, moveId).physics === null;
    const timed = retimed(shot, moveId, { damping, swings, rolls, miniature });
    return isFirst
      ? withMove(timed, moveId, (move) => ({
          ...move,
          exposures: PLAIN_TIMING.exposures,
          skips: PLAIN_TIMING.skips,
          overrides: PLAIN_TIMING.overrides,
          acted: null,
        }))
      : timed;
  },

  /**
   * A shape of an arc and a figure on it, timed by its weight at once.
   * @throws ShotError as `timePhysically`
   */
  makePhysical: (shot: Shot, { shape, ...physics }: Physics & { readonly shape: PhysicalShape }): Shot => {
    const drawn = arcEdits.drawArc(shot, { shape });
    const { id } = drawn.moves[drawn.moves.length - 1]!;
    return physicsEdits.timePhysically(drawn, { moveId: id, ...physics });
  },

  /** A move that was timed by its weight as plain marks and ticks; nothing moves. */
  makePlain: (shot: Shot, { moveId }: OfMove): Shot =>
    withMove(shot, moveId, (move) => ({ ...move, physics: null })),
} as const;
