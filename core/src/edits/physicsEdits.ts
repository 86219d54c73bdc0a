import { ShotError } from '../model/errors';
import { findArc } from '../model/parts';
import type { Shot } from '../model/schema';
import { type Course, courseOn, isPhysical, type PhysicalOptions } from '../physics/course';
import { miniatureTime } from '../physics/gravity';
import { roundedMoments, withCourse } from '../physics/onFrames';
import type { RoundedMark } from '../timing/frameMap';
import { firstFrame } from '../timing/placeInTime';
import { findMove, type OfMove, withMove } from '../timing/moveChange';
import { arcEdits } from './arcEdits';

/** What a physical timing is made with: what moves, and the miniature that it is looked at in, 1 : n. */
export type Physics = PhysicalOptions & { readonly miniature: number };

interface Prepared {
  /** The shot with an arc that reaches far enough. */
  readonly shot: Shot;
  readonly course: Course;
  /** Frames for a second of the true course. */
  readonly framesPerSecond: number;
}

/** @throws ShotError `out-of-range` */
function prepared(shot: Shot, { moveId, miniature, ...options }: OfMove & Physics): Prepared {
  const { arcId } = findMove(shot, moveId);
  const { shape } = findArc(shot, arcId);
  const { unitsPerMm } = shot.field;
  if (!isPhysical(shape))
    throw new ShotError(
      'out-of-range',
      'Only a line, a swing, a toss or bounces can be timed by their weight.',
    );
  if (unitsPerMm === null)
    throw new ShotError(
      'out-of-range',
      'How long it takes depends on its size: set the scale of the field first.',
    );
  if (!(miniature > 0) || !Number.isInteger(options.swings) || options.swings < 1)
    throw new ShotError(
      'out-of-range',
      'A miniature is 1 to something above 0, and a pendulum swings once at least.',
    );
  const fits = shape.kind === 'swing' ? { ...shape, toDeg: -shape.fromDeg } : shape;
  const whole = fits === shape ? shot : arcEdits.shapeArc(shot, { arcId, shape: fits });
  return {
    shot: whole,
    course: courseOn(fits, findArc(whole, arcId), unitsPerMm, options),
    framesPerSecond: shot.rate * miniatureTime(miniature),
  };
}

/** What a physical timing comes to. */
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

/** Edits that time a move by the laws that move things. */
export const physicsEdits = {
  /**
   * Times a move on a ready shape as what swings, is tossed, bounces, falls or rolls on it: true to the millimetres of the
   * field, on whole frames. A pendulum's arc reaches as far to the other side as it is let go from.
   * @throws ShotError `out-of-range` for another shape, a field without a scale, or where nothing would move
   */
  timePhysically: (shot: Shot, args: OfMove & Physics): Shot => {
    const { shot: whole, course, framesPerSecond } = prepared(shot, args);
    return withMove(whole, args.moveId, (move) => withCourse(move, course, framesPerSecond), true);
  },
} as const;
