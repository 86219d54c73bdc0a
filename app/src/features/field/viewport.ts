import type { Vector } from '@humble/core';

export interface Viewport {
  /** 1 shows the whole field. */
  readonly zoom: number;
  readonly centre: Vector;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** Where field units lie on the view: x on the view = x · scale + offset.x, in pixels. */
export interface Projection {
  readonly scale: number;
  readonly offset: Vector;
}

/** Room around the whole field, pixels. */
const MARGIN = 16;
const MIN_ZOOM = 0.25;
const MAX_ZOOM = 40;

export const wholeField = (field: Size): Viewport => ({
  zoom: 1,
  centre: { x: field.width / 2, y: field.height / 2 },
});

export function project(viewport: Viewport, field: Size, view: Size): Projection {
  const fit = Math.min((view.width - 2 * MARGIN) / field.width, (view.height - 2 * MARGIN) / field.height);
  const scale = Math.max(1e-4, fit * viewport.zoom);
  return {
    scale,
    offset: {
      x: view.width / 2 - viewport.centre.x * scale,
      y: view.height / 2 - viewport.centre.y * scale,
    },
  };
}

export const toField = ({ scale, offset }: Projection, onView: Vector): Vector => ({
  x: (onView.x - offset.x) / scale,
  y: (onView.y - offset.y) / scale,
});

export const toView = ({ scale, offset }: Projection, inField: Vector): Vector => ({
  x: inField.x * scale + offset.x,
  y: inField.y * scale + offset.y,
});

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
