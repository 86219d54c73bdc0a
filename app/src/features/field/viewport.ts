import { applyTo, type CameraOn, rotationAbout, type Vector } from '@humble/core';

export interface Viewport {
  /** 1 shows the whole field. */
  readonly zoom: number;
  readonly centre: Vector;
  /** How the field is turned beneath the view: seen through a camera that is turned clockwise it leans the other way. */
  readonly turnDeg?: number;
}

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Where field units lie on the view: turned back by a turn, then x · scale + offset.x, in pixels. */
export interface Projection {
  readonly scale: number;
  readonly offset: Vector;
  /** None without it. */
  readonly turnDeg?: number;
}

const MIN_ZOOM = 0.25;
const MAX_ZOOM = 40;

export const wholeField = (field: Size): Viewport => ({
  zoom: 1,
  centre: { x: field.width / 2, y: field.height / 2 },
});

const fitOf = (field: Size, view: Size, margin: number): number =>
  Math.min((view.width - 2 * margin) / field.width, (view.height - 2 * margin) / field.height);

/** A view that has no size yet has this scale: nothing can be pointed at in it. */
export const MIN_SCALE = 1e-4;

/** @param margin room round the whole field, pixels */
export function project(viewport: Viewport, field: Size, view: Size, margin: number): Projection {
  const fit = fitOf(field, view, margin);
  const scale = Math.max(MIN_SCALE, fit * viewport.zoom);
  const { turnDeg = 0 } = viewport;
  const centre = turned(viewport.centre, -turnDeg);
  return {
    scale,
    offset: { x: view.width / 2 - centre.x * scale, y: view.height / 2 - centre.y * scale },
    ...(turnDeg !== 0 && { turnDeg }),
  };
}

const turned = (at: Vector, deg: number): Vector =>
  deg === 0 ? at : applyTo(rotationAbout({ x: 0, y: 0 }, deg), at);

/** A view that shows what a camera frames, and nothing else of the field where it has the proportions of the field. */
export const throughCamera = ({ x, y, width, turnDeg }: CameraOn, field: Size): Viewport => ({
  zoom: field.width / width,
  centre: { x, y },
  turnDeg,
});

/** A view about a place, within the field, so many times as large as where the field is as wide as the view. */
export function closeUpOf(centre: Vector, factor: number, field: Size, view: Size): Viewport {
  const scale = (factor * view.width) / field.width;
  const within = (middle: number, seen: number, whole: number): number =>
    seen >= whole ? whole / 2 : Math.min(whole - seen / 2, Math.max(seen / 2, middle));
  return {
    zoom: scale / fitOf(field, view, 0),
    centre: {
      x: within(centre.x, view.width / scale, field.width),
      y: within(centre.y, view.height / scale, field.height),
    },
  };
}

export const toField = ({ scale, offset, turnDeg = 0 }: Projection, onView: Vector): Vector =>
  turned({ x: (onView.x - offset.x) / scale, y: (onView.y - offset.y) / scale }, turnDeg);

export function toView({ scale, offset, turnDeg = 0 }: Projection, inField: Vector): Vector {
  const { x, y } = turned(inField, -turnDeg);
  return { x: x * scale + offset.x, y: y * scale + offset.y };
}

export function zoomedAt(
  viewport: Viewport,
  projection: Projection,
  onView: Vector,
  factor: number,
): Viewport {
  const zoom = Math.min(MAX_ZOOM, Math.max(MIN_ZOOM, viewport.zoom * factor));
  const ratio = viewport.zoom / zoom;
  const held = toField(projection, onView);
  return {
    zoom,
    centre: {
      x: held.x + (viewport.centre.x - held.x) * ratio,
      y: held.y + (viewport.centre.y - held.y) * ratio,
    },
  };
}

export const pannedBy = (viewport: Viewport, { scale }: Projection, dx: number, dy: number): Viewport => ({
  ...viewport,
  centre: { x: viewport.centre.x - dx / scale, y: viewport.centre.y - dy / scale },
});
