import { pointAtDistance } from '../arc/arcMeasure';
import { nearestAbout } from '../arc/nearestPoint';
import type { Vector } from '../arc/vector';
import { ShotError } from '../model/errors';
import type { Actual, Move, Shot, Taken } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { standingPictures } from './placements';
import { setReading } from './setReading';

/** A figure is looked for on its arc at least this share of the length about where the plan has it. */
const NEARBY = 0.05;

export interface Stand {
  /** Where its place is nearest on the arc, field units from the start. */
  readonly s: number;
  /** Off the arc, field units; positive to the right of the travel along it. */
  readonly across: number;
}

/**
 * Where something that stands in the field is along an arc, and how far off it.
 * @param about field units from the start of the arc: where it is looked for
 */
export function standOn(shot: Shot, move: Move, place: Vector, about: number): Stand {
  const { arc, arcLength } = evaluateMove(shot, move);
  const near = pointAtDistance(arc, about);
  const reach = 2 * Math.hypot(place.x - near.x, place.y - near.y) + NEARBY * arcLength;
  const s = nearestAbout(arc, place, about, reach)?.s ?? about;
  const { x, y, headingDeg } = pointAtDistance(arc, s);
  const angle = (headingDeg * Math.PI) / 180;
  return { s, across: (place.y - y) * Math.cos(angle) - (place.x - x) * Math.sin(angle) };
}

/** Where the plan has the pivot of a move on a frame: what is written beside where it really stands. */
export function plannedOn(shot: Shot, move: Move, frame: number): Actual['planned'] {
  const { pivotX, pivotY, arcDistance, arcLength } = evaluateMove(shot, move);
  const i = Math.min(frame, shot.lengthFrames) - 1;
  return {
    x: pivotX[i]!,
    y: pivotY[i]!,
    fraction: arcLength > 0 ? arcDistance[i]! / arcLength : 0,
  };
}

/** The place on the arc of a pivot that stands somewhere: an offset from the arc is taken off. */
export function placeOfActual(shot: Shot, move: Move, frame: number, { x, y }: Vector): Vector {
  const travel = evaluateMove(shot, move);
  const i = Math.min(frame, shot.lengthFrames) - 1;
  return { x: x - (travel.pivotX[i]! - travel.x[i]!), y: y - (travel.pivotY[i]! - travel.y[i]!) };
}

export interface Deviation {
  readonly frame: number;
  /** Ahead of the plan along the arc, behind it where negative; in the units of the set's reading. */
  readonly along: number;
  /** Off the arc, to the right of the travel along it; in the same units. */
  readonly across: number;
}

/** How far a figure stood from its plan on a picture; null where nobody told where it stood. @throws ShotError `unknown-id` */
export function deviationOf(shot: Shot, moveId: string, { frame, actuals }: Taken): Deviation | null {
  const actual = actuals.find((one) => one.moveId === moveId);
  if (!actual) return null;
  const move = shot.moves.find(({ id }) => id === moveId);
  if (!move) throw new ShotError('unknown-id', `The shot has no move ${moveId}.`);
  const { arc, arcLength } = evaluateMove(shot, move);
  const planned = actual.planned.fraction * arcLength;
  const place = placeOfActual(shot, move, frame, actual);
  const { s, across } = standOn(shot, move, place, planned);
  const { alongOf, placeOf } = setReading(shot);
  const [on, off] = [placeOf(pointAtDistance(arc, s)), placeOf(place)];
  return {
    frame,
    along: alongOf(arc, s) - alongOf(arc, planned),
    across: Math.sign(across) * Math.hypot(off.x - on.x, off.y - on.y),
  };
}

/** The deviations of a figure, picture by picture, those left out of which nobody told where it stood. */
export const deviationsOf = (shot: Shot, moveId: string): readonly Deviation[] =>
  standingPictures(shot).flatMap((taken) => deviationOf(shot, moveId, taken) ?? []);
