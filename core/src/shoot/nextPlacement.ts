import type { Vector } from '../arc/vector';
import { roundToStep } from '../exposure/roundToStep';
import type { Move, Shot, Taken } from '../model/schema';
import { drawingOfTravel } from '../motion/figureOn';
import { evaluateMove } from '../motion/evaluate';
import { drawingCount } from '../exposure/drawings';
import { placeOfActual, standOn } from './deviation';
import { latestPicture, placementsLeft } from './placements';
import { type SetReading, setReading } from './setReading';

/** What is to be done to one figure for the next picture. */
export interface NextOfFigure {
  readonly moveId: string;
  readonly name: string;
  /** Along the arc from where it stands, on the ruler; null for the first picture: there is nothing to go from. */
  readonly along: number | null;
  /** Right and down on the set from where it stands, on the ruler. */
  readonly right: number | null;
  readonly down: number | null;
  /** By how much it turns, degrees, clockwise as seen. */
  readonly turnDeg: number | null;
  /** The drawing that is to be put there; null where it stays the same. */
  readonly drawing: number | null;
  /** Where its pivot is to stand, field units. */
  readonly to: Vector;
}

export interface NextPlacement {
  readonly frame: number;
  readonly framesHeld: number;
  /** Pictures still to be taken, this one among them. */
  readonly left: number;
  readonly units: SetReading['units'];
  readonly figures: readonly NextOfFigure[];
}

/** On the ruler: between rounded places, so that the increments add up to the plan. */
const onRuler = (from: number, to: number, step: number | null): number =>
  step === null ? to - from : roundToStep(roundToStep(to, step) - roundToStep(from, step), step);

function nextOfMove(
  shot: Shot,
  move: Move,
  frame: number,
  last: Taken | undefined,
  reading: SetReading,
): NextOfFigure {
  const travel = evaluateMove(shot, move);
  const { figure, arc, arcDistance, pivotX, pivotY, heading } = travel;
  const i = frame - 1;
  const to = { x: pivotX[i]!, y: pivotY[i]! };
  const drawing = drawingOfTravel(travel, frame);
  const shown = { moveId: move.id, name: figure.name, to };
  const hasDrawings = drawingCount(figure) > 1;
  if (!last)
    return {
      ...shown,
      along: null,
      right: null,
      down: null,
      turnDeg: null,
      drawing: hasDrawings ? drawing : null,
    };
  const k = Math.min(last.frame, shot.lengthFrames) - 1;
  const actual = last.actuals.find(({ moveId }) => moveId === move.id);
  const from = actual ?? { x: pivotX[k]!, y: pivotY[k]! };
  const s = actual
    ? standOn(shot, move, placeOfActual(shot, move, last.frame, actual), arcDistance[k]!).s
    : arcDistance[k]!;
  const { rulerStep } = shot.sheet;
  const start = reading.placeOf({ x: pivotX[0]!, y: pivotY[0]! });
  const [a, b] = [reading.placeOf(from), reading.placeOf(to)];
  const zero = reading.alongOf(arc, arcDistance[0]!);
  return {
    ...shown,
    along: onRuler(reading.alongOf(arc, s) - zero, reading.alongOf(arc, arcDistance[i]!) - zero, rulerStep),
    right: onRuler(a.x - start.x, b.x - start.x, rulerStep),
    down: onRuler(a.y - start.y, b.y - start.y, rulerStep),
    turnDeg: heading[i]! - heading[k]!,
    drawing: hasDrawings && drawing !== drawingOfTravel(travel, k + 1) ? drawing : null,
  };
}

/**
 * The next picture of a shot: for each figure what is to be done from where it stands now, as told or else as planned.
 * Figures that are hidden are left out. Null when all pictures are taken.
 */
export function nextPlacement(shot: Shot): NextPlacement | null {
  const left = placementsLeft(shot);
  const next = left[0];
  if (!next) return null;
  const last = latestPicture(shot);
  const reading = setReading(shot);
  const hidden = new Set(shot.figures.filter((figure) => figure.hidden).map(({ id }) => id));
  return {
    ...next,
    left: left.length,
    units: reading.units,
    figures: shot.moves
      .filter(({ figureId }) => !hidden.has(figureId))
      .map((move) => nextOfMove(shot, move, next.frame, last, reading)),
  };
}
