import type { Transform } from '../arc/transform';
import type { Shot, Waiting } from '../model/schema';
import type { Travel } from './evaluate';
import { drawingCount, drawingOn, heightInField, type Look, lookOf, placementOf } from './look';
import { PLAIN_SCALE, scaleOn } from './scale';

/** What is to be drawn of a figure on a frame, and where. */
export interface FigureOn {
  readonly look: Look;
  /** From the look's own units to the field. */
  readonly placement: Transform;
  /** How far it covers what lies beneath it, 0 to 1. */
  readonly opacity: number;
}

/** Which drawing of a travel's figure is shown on a planned frame, from 1; 0 for none. */
export function drawingOfTravel(travel: Travel, frame: number): number {
  const { move, figure, arcDistance } = travel;
  // The usual figure has one: nothing is to be worked out for it.
  if (drawingCount(figure) === 1 && !move.cycle) return 1;
  const distanceOn = (f: number): number => arcDistance[Math.min(arcDistance.length, Math.max(1, f)) - 1]!;
  return drawingOn({ move, figure, distanceOn, lastFrame: arcDistance.length }, frame);
}

/** The figure of a travel on a planned frame. @param i index of the frame, from 0 */
export function figureOn(travel: Travel, i: number): FigureOn {
  const { figure, pivotX, pivotY, heading, tracks } = travel;
  const drawing = drawingOfTravel(travel, i + 1);
  const look = lookOf(figure, drawing);
  return {
    look,
    placement: placementOf(travel, look, {
      x: pivotX[i]!,
      y: pivotY[i]!,
      headingDeg: heading[i]!,
      scale: scaleOn(travel, i),
    }),
    opacity: drawing === 0 ? 0 : tracks.opacity[i]! / 100,
  };
}

/** A move that nothing was said about, for a figure that never had one. */
const NO_MOVE = { turnsWithArc: true, mirrored: false } as const;

/** A figure that rides no arc. @returns null when the shot has no such figure */
export function waitingFigure(shot: Pick<Shot, 'figures' | 'field'>, waiting: Waiting): FigureOn | null {
  const figure = shot.figures.find(({ id }) => id === waiting.figureId);
  if (!figure) return null;
  const look = lookOf(figure);
  const setup = { figure, move: waiting.move ?? NO_MOVE, figureHeight: heightInField(figure, shot.field) };
  const { x, y, turnDeg } = waiting;
  const position = { x, y, headingDeg: turnDeg, scale: PLAIN_SCALE };
  return { look, placement: placementOf(setup, look, position), opacity: 1 };
}
