import {
  applyTo,
  compose,
  inverse,
  rotationAbout,
  scalingAbout,
  type Transform,
  translation,
} from '../arc/transform';
import type { Vector } from '../arc/vector';
import type { Field, Figure, Shot } from '../model/schema';
import { evaluate, type Evaluation, type Travel, travelOfFigure } from './evaluate';
import { heightInField } from './look';

/** What the camera frames on a frame: the middle of its frame, how wide that is in the field, and how it is turned. */
export interface CameraOn extends Vector {
  readonly width: number;
  /** Degrees, clockwise as seen. */
  readonly turnDeg: number;
}

export const isCamera = ({ artwork }: Pick<Figure, 'artwork'>): boolean => artwork.kind === 'camera';

export const cameraOf = ({ figures }: Pick<Shot, 'figures'>): Figure | undefined => figures.find(isCamera);

/** How the camera travels; undefined where there is none, or it rides no arc. */
export function cameraTravel({ shot, ...evaluation }: Evaluation): Travel | undefined {
  const camera = cameraOf(shot);
  return camera && travelOfFigure({ shot, ...evaluation }, camera.id);
}

function framed(camera: Figure, field: Shot['field'], share: number): number {
  const { artwork } = camera;
  if (artwork.kind !== 'camera') return field.width;
  return ((share * heightInField(camera, field)) / artwork.height) * artwork.width;
}

/**
 * What the camera sees on a frame of the shot, as it is exposed; null where all is seen: there is no camera, or it is
 * hidden.
 * @param frame within the shot
 */
export function cameraOn(shot: Shot, frame: number): CameraOn | null {
  const camera = cameraOf(shot);
  if (!camera || camera.hidden) return null;
  const travel = cameraTravel(evaluate(shot));
  if (!travel) {
    const waiting = shot.waiting.find(({ figureId }) => figureId === camera.id);
    return waiting
      ? { x: waiting.x, y: waiting.y, width: framed(camera, shot.field, 1), turnDeg: waiting.turnDeg }
      : null;
  }
  const i = travel.shown[frame - 1]! - 1;
  return cameraAt(travel, i, shot.field);
}

/** The same from a travel of the camera, planned. @param i counted from 0 */
export const cameraAt = (travel: Travel, i: number, field: Shot['field']): CameraOn => ({
  x: travel.pivotX[i]!,
  y: travel.pivotY[i]!,
  width: framed(travel.figure, field, travel.tracks.size[i]! / 100),
  turnDeg: travel.heading[i]!,
});

/** A camera that rests: it sees the whole field, straight on. */
export const restingCamera = ({ width, height }: Pick<Field, 'width' | 'height'>): CameraOn => ({
  x: width / 2,
  y: height / 2,
  width,
  turnDeg: 0,
});

/**
 * The map from the field to the picture that the camera takes, which is as large as the field: (P − C) · W / w, turned back
 * by its turn.
 *
 * A plane that is further away moves and grows less: its picture is placed as the resting camera sees it, so that a step d
 * of the camera moves it by d / z. The camera stands at a distance of w / W from the plane of the arcs.
 * @param distance of the plane from the camera at rest; 1 is the plane of the arcs
 * @returns null where the camera has gone past the plane
 */
export function seenThrough(
  { x, y, width, turnDeg }: CameraOn,
  field: Pick<Field, 'width' | 'height'>,
  distance = 1,
): Transform | null {
  const rest = { x: field.width / 2, y: field.height / 2 };
  const away = distance - 1 + width / field.width;
  if (away <= 0) return null;
  const magnified = distance / away;
  const centre = { x: rest.x + (x - rest.x) / distance, y: rest.y + (y - rest.y) / distance };
  const sized = compose(
    translation({ x: rest.x - centre.x, y: rest.y - centre.y }),
    scalingAbout(rest, magnified),
  );
  return compose(sized, rotationAbout(rest, -turnDeg));
}

/** What of a plane the camera covers: its middle and width there, in the field as the resting camera sees it. */
export function coveredOn(
  { x, y, width, turnDeg }: CameraOn,
  field: Pick<Field, 'width' | 'height'>,
  distance: number,
): CameraOn {
  const rest = { x: field.width / 2, y: field.height / 2 };
  const away = Math.max(0, distance - 1 + width / field.width);
  return {
    x: rest.x + (x - rest.x) / distance,
    y: rest.y + (y - rest.y) / distance,
    width: (field.width * away) / distance,
    turnDeg,
  };
}

/**
 * Where in the field a plane has to be laid for a view that looks through the camera at the field: what lies at distance 1
 * stays, what is farther moves along with the camera, what is fixed to the camera moves all the way.
 * @param distance of the plane; "fixed" for what goes with the camera
 * @returns null where the camera has gone past the plane
 */
export function laidForCamera(
  camera: CameraOn,
  field: Pick<Field, 'width' | 'height'>,
  distance: number | 'fixed',
): Transform | null {
  const back = inverse(seenThrough(camera, field)!)!;
  if (distance === 'fixed') return back;
  const there = seenThrough(camera, field, distance);
  return there && compose(there, back);
}

/** The corners of what the camera frames, in the field: upper left, upper right, lower right, lower left. */
export function frameCorners(camera: CameraOn, field: Pick<Field, 'width' | 'height'>): readonly Vector[] {
  const back = laidForCamera(camera, field, 'fixed')!;
  const { width, height } = field;
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ].map((corner) => applyTo(back, corner));
}
