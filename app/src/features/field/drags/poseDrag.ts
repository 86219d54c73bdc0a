import type { Vector } from '@humble/core';
import { currentFrame } from '../../../playback/playhead';
import { putFigure } from '../../../commands/posing';
import { selectFigurePlace } from '../../../store/selectors/selection';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { Target } from '../hitTest';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { snapper } from './snapping';
import { selectActiveMove } from '../../../store/selectors/active';

/**
 * The figure, put in place on the frame at the playhead: the arc and the marks follow. Taken by its body it does
 * not jump to the pointer; where one is put anywhere it comes to it, and the first one begins an arc.
 */
export function poseDrag(
  context: FieldContext,
  { isFar, frame }: Extract<Target, { kind: 'figure' }>,
  start: Pointer,
): DragHandler {
  const { store } = context;
  const name = createUndoGroup('pose');
  const stands = selectFigurePlace(store.getState(), currentFrame());
  const playhead = currentFrame();
  const grip =
    stands && !isFar ? { x: stands.x - start.point.x, y: stands.y - start.point.y } : { x: 0, y: 0 };
  const move = selectActiveMove(store.getState());
  const carrier = move?.marks.find((mark) => mark.frame === frame)?.pointId;
  const settle = snapper(context, stands ?? start.point, new Set(carrier ? [carrier] : []));
  // Every edit of a drag is worked out from where the drag began: the first pose stays the first.
  const put = (to: Vector): boolean => store.dispatch(putFigure({ move, frame: playhead, to }, name));
  const at = (now: Pointer): Vector => settle({ x: now.point.x + grip.x, y: now.point.y + grip.y }, now);
  return {
    drag: (now) => void put(at(now)),
    ...(isFar && { tap: (now: Pointer) => void put(now.point) }),
  };
}

/**
 * Where places are being posed, a tap on empty paper puts the figure there on this frame, as the first one was put; null
 * where it does not.
 */
export function tapPutsFigure({ store, snapshot }: FieldContext): ((to: Vector) => void) | null {
  const { isPutByTap, figure } = snapshot().state;
  const move = selectActiveMove(store.getState());
  if (!isPutByTap || !figure || !move) return null;
  return (to) => void store.dispatch(putFigure({ move, frame: currentFrame(), to }));
}
