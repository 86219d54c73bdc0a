import { type Arc, shapeHandles, type Vector, withShapeHandle } from '@humble/core';
import { alongDirections } from '@humble/core/views';
import { doEdit } from '../../../store/doEdit';
import { pointsSelected } from '../../../store/editorSlice';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { snapper } from './snapping';

/** What is taken hold of does not jump to the pointer. */
const grip = (at: Vector, { point }: Pointer): Vector => ({ x: at.x - point.x, y: at.y - point.y });
const gripped = ({ point }: Pointer, by: Vector): Vector => ({ x: point.x + by.x, y: point.y + by.y });

/** A point, and with it all others that are selected. A tap selects it; with Shift it joins or leaves them. */
export function pointDrag(context: FieldContext, arc: Arc, pointId: string, start: Pointer): DragHandler {
  const { store, snapshot } = context;
  const { selectedPointIds: before, isSelectingSeveral } = snapshot().state;
  const isJoining = start.isShift || isSelectingSeveral;
  const wasSelected = before.includes(pointId);
  const point = arc.points.find(({ id }) => id === pointId)!;
  if (!wasSelected && !isJoining) store.dispatch(pointsSelected([pointId]));
  const moving = wasSelected ? before : isJoining ? [...before, pointId] : [pointId];
  const name = createUndoGroup('field');
  const by = grip(point, start);
  const settle = snapper(context, point, new Set(moving));
  let isFirst = true;
  return {
    drag: (now) => {
      // A point that is dragged with the others is one of them from then on.
      if (isFirst && isJoining && !wasSelected) store.dispatch(pointsSelected(moving));
      isFirst = false;
      const to = settle(gripped(now, by), now);
      store.dispatch(
        moving.length === 1
          ? doEdit('movePoint', { arcId: arc.id, pointId, to }, name)
          : doEdit(
              'movePoints',
              { arcId: arc.id, pointIds: moving, by: { x: to.x - point.x, y: to.y - point.y } },
              name,
            ),
      );
    },
    tap: () => {
      if (!isJoining) store.dispatch(pointsSelected([pointId]));
      else
        store.dispatch(
          pointsSelected(wasSelected ? before.filter((id) => id !== pointId) : [...before, pointId]),
        );
    },
  };
}

const HANDLE_STEP_DEG = 15;

export function handleDrag(
  { store }: FieldContext,
  arc: Arc,
  pointId: string,
  side: 'in' | 'out',
  start: Pointer,
): DragHandler {
  const point = arc.points.find(({ id }) => id === pointId)!;
  const by = grip({ x: point.x + point[side].x, y: point.y + point[side].y }, start);
  const name = createUndoGroup('field');
  return {
    drag: (now) => {
      const free = gripped(now, by);
      const to = now.isShift ? alongDirections(point, free, HANDLE_STEP_DEG) : free;
      store.dispatch(doEdit('moveHandle', { arcId: arc.id, pointId, side, to }, name));
    },
  };
}

export function shapeHandleDrag(context: FieldContext, arc: Arc, id: string, start: Pointer): DragHandler {
  const { shape } = arc;
  const handle = shape && shapeHandles(shape).find((candidate) => candidate.id === id);
  if (!handle) return {};
  const by = grip(handle.at, start);
  const name = createUndoGroup('field');
  const settle = snapper(context, handle.at, new Set(arc.points.map((point) => point.id)));
  return {
    drag: (now) => {
      const to = settle(gripped(now, by), now);
      context.store.dispatch(
        doEdit('shapeArc', { arcId: arc.id, shape: withShapeHandle(shape, id, to) }, name),
      );
    },
  };
}
