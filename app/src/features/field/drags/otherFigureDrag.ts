import { chooseFigure, waitingDrag } from '../../../commands/figures';
import type { DragHandler, FieldContext, Pointer } from '../dragHandler';
import type { OtherFigure } from '../hitTest';

/** A figure besides the active one: a tap works on it. One that waits for an arc is dragged where it is to wait. */
export function otherFigureDrag(
  { store }: FieldContext,
  { figureId, at, waits }: OtherFigure,
  start: Pointer,
): DragHandler {
  const tap = (): void => store.dispatch(chooseFigure(figureId));
  if (!waits) return { tap };
  const move = waitingDrag(store.dispatch, figureId, at);
  let isFirst = true;
  return {
    drag: ({ point }) => {
      if (isFirst) tap();
      isFirst = false;
      move({ x: point.x - start.point.x, y: point.y - start.point.y });
    },
    tap,
  };
}
