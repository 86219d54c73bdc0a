import { partDrag } from '../../../commands/parts';
import { riderChosen } from '../../../store/editorSlice';
import type { DragHandler, FieldContext, Pointer } from '../dragHandler';
import type { RiderInPlace } from '../hitTest';

export function riderDrag(
  { store }: FieldContext,
  { riderId, at }: RiderInPlace,
  start: Pointer,
): DragHandler {
  const choose = (): void => void store.dispatch(riderChosen(riderId));
  const move = partDrag(store, riderId);
  const off = { x: at.x - start.point.x, y: at.y - start.point.y };
  let isFirst = true;
  return {
    drag: ({ point }) => {
      if (isFirst) choose();
      isFirst = false;
      move({ x: point.x + off.x, y: point.y + off.y });
    },
    tap: choose,
  };
}
