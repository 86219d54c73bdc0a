import type { Vector } from '@humble/core';
import type { PointerSurface, PressHandler, ViewPointer } from '../render/pointerSession';
import { type Axis, valueAt } from '../ui/axis';
import type { ContextMenu } from '../ui/contextMenu';
import { type Target, targetAt } from './target';
import type { Zoom } from './useZoom';

export interface ZoomedAxis {
  readonly zoom: Zoom;
  readonly along: 'x' | 'y';
  /** The axis at a place of the view: one view may have it at two scales. */
  readonly axisAt: (at: Vector) => Axis;
  readonly takesWheel: (at: Vector) => boolean;
  readonly focus: () => number;
}

export interface InteractiveDescription<View> {
  readonly view: (at: Vector) => View | null;
  readonly targets: readonly Target<View>[];
  readonly ground: (view: View, start: ViewPointer) => PressHandler<ViewPointer>;
  readonly groundMenu?: (view: View, at: Vector) => ContextMenu | null;
  readonly hover?: (at: Vector | null) => void;
  readonly zooms?: readonly ZoomedAxis[];
}

export function interactiveSurface<View>({
  view: now,
  targets,
  ground,
  groundMenu,
  hover,
  zooms = [],
}: InteractiveDescription<View>): PointerSurface<ViewPointer> {
  return {
    pointer: (raw) => raw,
    press: (start) => {
      const view = now(start);
      if (!view) return {};
      return targetAt(targets, view, start)?.press?.(start) ?? ground(view, start);
    },
    menu: (at) => {
      const view = now(at);
      if (!view) return null;
      const target = targetAt(targets, view, at, 'menu');
      return target ? target.menu!() : (groundMenu?.(view, at) ?? null);
    },
    hover,
    pinchBegins: () => zooms.forEach(({ zoom }) => zoom.pinchBegins()),
    pinch: (factor, by, middle) =>
      zooms.forEach(({ zoom, along, axisAt }) => {
        const axis = axisAt(middle);
        zoom.pinch(factor, valueAt(axis, middle[along]), valueAt(axis, 0) - valueAt(axis, by[along]));
      }),
  };
}

export function zoomByWheel(zooms: readonly ZoomedAxis[], at: Vector, factor: number): void {
  for (const { zoom, along, axisAt, takesWheel } of zooms)
    if (takesWheel(at)) zoom.by(factor, valueAt(axisAt(at), at[along]));
}
