import type { Vector } from '@humble/core';
import { putOnStage } from '../../../cameras/cardboardStage';
import { tellStand } from '../../../commands/shooting';
import { moveCorner, tapCorner } from '../../../commands/setPerspective';
import { pointsSelected } from '../../../store/editorSlice';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { DragHandler, FieldContext, Pointer } from '../dragHandler';
import type { CornerName, Target } from '../hitTest';

/** Tells where the figure really stands: by a tap, or dragged with the loupe until it is right. */
export function standDrag({ store }: FieldContext, isMarked: boolean): DragHandler {
  const undoGroup = createUndoGroup('stand');
  const tell = ({ point }: Pointer): void => void store.dispatch(tellStand(point, undoGroup));
  return { drag: tell, ...(!isMarked && { tap: tell }) };
}

/** Moves a figure of the cardboard stage; a tap on it says that it stands there. */
export function stageDrag(
  { moveId, at }: Extract<Target, { kind: 'stage-figure' }>,
  context: FieldContext,
  start: Pointer,
): DragHandler {
  const grip: Vector = { x: at.x - start.point.x, y: at.y - start.point.y };
  return {
    drag: ({ point }) => putOnStage(moveId, { x: point.x + grip.x, y: point.y + grip.y }),
    tap: ({ point }) => void context.store.dispatch(tellStand(point)),
  };
}

export function cornerDrag({ store }: FieldContext, corner: CornerName): DragHandler {
  const undoGroup = createUndoGroup('corner');
  return { drag: ({ point }) => void store.dispatch(moveCorner(corner, point, undoGroup)) };
}

export const cornerTap = ({ store }: FieldContext, at: Vector): void => {
  store.dispatch(pointsSelected([]));
  store.dispatch(tapCorner(at));
};
