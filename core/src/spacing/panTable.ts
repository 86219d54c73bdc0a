import { roundToStep } from '../exposure/roundToStep';
import { shownExposures } from '../exposure/shownFrames';
import type { Backdrop, Shot } from '../model/schema';
import { cameraAt, cameraTravel } from '../motion/cameraView';
import { evaluate } from '../motion/evaluate';
import { planesOf } from '../motion/scene';
import { readingUnits } from './increments';

/** A step of the camera, or of a plane beneath it, in the units of the sheet. */
export interface PanStep {
  /** From the exposure before, rounded between totals so that it adds up; 0 for the first. */
  readonly across: number;
  readonly down: number;
  readonly totalAcross: number;
  readonly totalDown: number;
}

export interface PanRow extends PanStep {
  readonly frame: number;
  readonly framesHeld: number;
  /** Width of the frame, in percent of the field, and in inches where the field has a scale. */
  readonly width: number;
  readonly percent: number;
  readonly inches: number | null;
  readonly turnDeg: number;
  /** How far each plane moves in the picture at rest: a step of the camera over its distance. */
  readonly planes: readonly PanStep[];
}

export interface PanTable {
  /** The camera's move. */
  readonly moveId: string;
  readonly rows: readonly PanRow[];
  readonly units: 'field' | 'mm';
  /** The planes of the columns, the furthest first. */
  readonly planes: readonly Pick<Backdrop, 'distance'>[];
  readonly names: readonly string[];
}

const MM_PER_INCH = 25.4;

/** Steps between rounded totals: what is read from a ruler adds up to where it ends. */
function stepsThrough(
  places: readonly { readonly x: number; readonly y: number }[],
  rulerStep: number | null,
): PanStep[] {
  const round = (value: number): number => (rulerStep === null ? value : roundToStep(value, rulerStep));
  let before = { across: 0, down: 0 };
  return places.map(({ x, y }): PanStep => {
    const total = { across: round(x - places[0]!.x), down: round(y - places[0]!.y) };
    const step = {
      across: round(total.across - before.across),
      down: round(total.down - before.down),
      totalAcross: total.across,
      totalDown: total.down,
    };
    before = total;
    return step;
  });
}

/** The way of the camera, exposure by exposure, and of each plane beneath it; null where there is no camera that travels. */
export function panTable(shot: Shot): PanTable | null {
  const travel = cameraTravel(evaluate(shot));
  if (!travel) return null;
  const { units, perUnit } = readingUnits(shot);
  const { rulerStep } = shot.sheet;
  const { unitsPerMm } = shot.field;
  const exposures = shownExposures(travel.move, shot);
  const cameras = exposures.map(({ frame }) => cameraAt(travel, frame - 1, shot.field));
  const at = (distance: number) =>
    stepsThrough(
      cameras.map(({ x, y }) => ({ x: (x * perUnit) / distance, y: (y * perUnit) / distance })),
      rulerStep,
    );
  const planes = planesOf(shot);
  const own = at(1);
  const ofPlanes = planes.map(({ distance }) => at(distance));
  return {
    moveId: travel.move.id,
    units,
    planes,
    names: planes.map((plane) => ('name' in plane ? String(plane.name) : 'Backdrop')),
    rows: exposures.map(({ frame, framesHeld }, i): PanRow => {
      const { width, turnDeg } = cameras[i]!;
      return {
        frame,
        framesHeld,
        ...own[i]!,
        width: width * perUnit,
        percent: (100 * width) / shot.field.width,
        inches: unitsPerMm === null ? null : width / unitsPerMm / MM_PER_INCH,
        turnDeg,
        planes: ofPlanes.map((steps) => steps[i]!),
      };
    }),
  };
}

/** A step by compass, north being up: `E 3.5 N 1`; empty for none. @param decimals at most */
export function byCompass({ across, down }: Pick<PanStep, 'across' | 'down'>, decimals = 3): string {
  const said = (value: number, positive: string, negative: string): string => {
    const size = Number(Math.abs(value).toFixed(decimals));
    return size === 0 ? '' : `${value > 0 ? positive : negative} ${size}`;
  };
  return [said(across, 'E', 'W'), said(down, 'S', 'N')].filter((part) => part !== '').join(' ');
}

/** The same step where the artwork is moved under a camera that stands still: the other way. */
export const movedArtwork = ({
  across,
  down,
}: Pick<PanStep, 'across' | 'down'>): Pick<PanStep, 'across' | 'down'> => ({
  across: -across + 0,
  down: -down + 0,
});
