import { currentFrame } from '../../../playback/playhead';
import {
  type Arc,
  rotationAbout,
  scalingAbout,
  type Transform,
  translation,
  type Vector,
} from '@humble/core';
import { doEdit } from '../../../store/doEdit';
import { selectTransformCentre } from '../../../store/selectors/selection';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { Grip } from '../selectionBox';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { snapper, steppedDeg } from './snapping';

const directionDeg = (from: Vector, to: Vector): number =>
  (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;

function turning(centre: Vector, start: Vector): (to: Vector) => number {
  let last = directionDeg(centre, start);
  let total = 0;
  return (to) => {
    const now = directionDeg(centre, to);
    total += ((((now - last + 180) % 360) + 360) % 360) - 180;
    last = now;
    return total;
  };
}

const MIN_SCALE = 1e-3;

function growth(centre: Vector, start: Vector): (to: Vector) => number {
  const was = Math.hypot(start.x - centre.x, start.y - centre.y);
  return (to) => (was === 0 ? 1 : Math.max(MIN_SCALE, Math.hypot(to.x - centre.x, to.y - centre.y) / was));
}

export function selectionGripDrag(context: FieldContext, arc: Arc, grip: Grip, start: Pointer): DragHandler {
  const { store, snapshot } = context;
  const pointIds = snapshot().state.selectedPointIds;
  const about = selectTransformCentre(store.getState(), currentFrame()) ?? start.point;
  const name = createUndoGroup('field');
  const turned = turning(about, start.point);
  const grown = growth(about, start.point);
  const settle = snapper(context, start.point, new Set(pointIds));
  const transformTo = (now: Pointer): Transform => {
    if (grip === 'turn') return rotationAbout(about, steppedDeg(turned(now.point), now));
    if (grip === 'scale') return scalingAbout(about, grown(now.point));
    const to = settle(now.point, now);
    return translation({ x: to.x - start.point.x, y: to.y - start.point.y });
  };
  return {
    drag: (now) => {
      const transform = transformTo(now);
      store.dispatch(doEdit('transformPoints', { arcId: arc.id, pointIds, transform }, name));
    },
  };
}

export function backdropDrag({ store }: FieldContext, grip: Grip, start: Pointer): DragHandler {
  const backdrop = store.getState().shot.present.shot?.backdrop;
  if (!backdrop || backdrop.locked) return {};
  const centre = { x: backdrop.x, y: backdrop.y };
  const name = createUndoGroup('field');
  const turned = turning(centre, start.point);
  const grown = growth(centre, start.point);
  const wanted = (now: Pointer) => {
    if (grip === 'turn') return { turnDeg: steppedDeg(backdrop.turnDeg + turned(now.point), now) };
    if (grip === 'scale') return { width: Math.max(1, backdrop.width * grown(now.point)) };
    return {
      x: backdrop.x + now.point.x - start.point.x,
      y: backdrop.y + now.point.y - start.point.y,
    };
  };
  return { drag: (now) => void store.dispatch(doEdit('setBackdrop', wanted(now), name)) };
}
