import type { Transform } from '../arc/transform';
import { IDENTITY } from '../arc/transform';
import type { Rider, Shot, Waiting } from '../model/schema';
import { bentPicture, type Slice } from './bentStrip';
import type { Travel } from './evaluate';
import { drawingCount, drawingOn } from '../exposure/drawings';
import { heightInField, type Look, lookOf, placementOf } from './look';
import { drawingOfRider, type RiderTravel } from './riders';
import { PLAIN_SCALE, scaleOn } from './scale';

export interface FigureOn {
  readonly look: Look;
  /** From the look's own units to the field. */
  readonly placement: Transform;
  /** How far it covers what lies beneath it, 0 to 1. */
  readonly opacity: number;
}

export function drawingOfTravel(travel: Travel, frame: number): number {
  const { move, figure, arcDistance } = travel;
  // The usual figure has one: nothing is to be worked out for it.
  if (drawingCount(figure) === 1 && !move.cycle) return 1;
  const distanceOn = (f: number): number => arcDistance[Math.min(arcDistance.length, Math.max(1, f)) - 1]!;
  return drawingOn({ move, figure, distanceOn, lastFrame: arcDistance.length }, frame);
}

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

export interface PartOn extends FigureOn {
  /** Null for the figure itself. */
  readonly rider: Rider | null;
  readonly pivotX: number;
  readonly pivotY: number;
  readonly headingDeg: number;
  readonly drawing: number;
  /** A picture that is bent along the arc: its look is its outline in the field then. Null for any other. */
  readonly slices: readonly Slice[] | null;
}

export function riderOn(travel: Travel, ridden: RiderTravel, i: number): PartOn {
  const { rider, height } = ridden;
  const drawing = drawingOfRider(ridden, travel, i + 1);
  const look = lookOf(rider, drawing);
  const own = rider.sizePercent / 100;
  const { across, down } = scaleOn(travel, i);
  const { pivotX, pivotY, headingDeg } = ridden.placeOn(i);
  const bent = rider.bends ? bentPicture(ridden, travel, look, i) : null;
  const setup = { figure: rider, move: rider, figureHeight: height };
  return {
    rider,
    look: bent ? { ...look, silhouette: bent.silhouette, details: [] } : look,
    placement: bent
      ? IDENTITY
      : placementOf(setup, look, {
          x: pivotX,
          y: pivotY,
          headingDeg,
          scale: { across: own * across, down: own * down },
        }),
    opacity: drawing === 0 ? 0 : (travel.tracks.opacity[i]! / 100) * (rider.opacityPercent / 100),
    pivotX,
    pivotY,
    headingDeg,
    drawing,
    slices: bent?.slices ?? null,
  };
}

export function partsOn(travel: Travel, i: number): readonly PartOn[] {
  const { riders, pivotX, pivotY, heading } = travel;
  const figure: PartOn = {
    ...figureOn(travel, i),
    rider: null,
    pivotX: pivotX[i]!,
    pivotY: pivotY[i]!,
    headingDeg: heading[i]!,
    drawing: drawingOfTravel(travel, i + 1),
    slices: null,
  };
  if (riders.length === 0) return [figure];
  const seen = riders.filter(({ rider }) => !rider.hidden);
  const on = (inFront: boolean): PartOn[] =>
    seen.filter(({ rider }) => rider.inFront === inFront).map((ridden) => riderOn(travel, ridden, i));
  return [...on(false), figure, ...on(true)];
}

export const NO_MOVE = { turnsWithArc: true, mirrored: false } as const;

export function waitingFigure(shot: Pick<Shot, 'figures' | 'field'>, waiting: Waiting): FigureOn | null {
  const figure = shot.figures.find(({ id }) => id === waiting.figureId);
  if (!figure) return null;
  const look = lookOf(figure);
  const setup = { figure, move: waiting.move ?? NO_MOVE, figureHeight: heightInField(figure, shot.field) };
  const { x, y, turnDeg } = waiting;
  const position = { x, y, headingDeg: turnDeg, scale: PLAIN_SCALE };
  return { look, placement: placementOf(setup, look, position), opacity: 1 };
}
