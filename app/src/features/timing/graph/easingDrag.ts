import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { doEdit } from '../../../store/doEdit';
import { currentFrame } from '../../../playback/playhead';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { createUndoGroup } from '../../../ui/undoGroup';
import { selectTiming } from '../views/selectTiming';
import { describeEasing } from '../../../kinds/easings';
import type { ViewTarget } from '../views/viewTargets';
import type { DragOptions } from '../views/viewDrags';

export function easingDrag(
  { store, ruler, meaning }: DragOptions,
  target: Extract<ViewTarget, { kind: 'handle' }>,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  const now = selectTiming(store.getState());
  if (!now) return {};
  const { move } = now;
  const index = currentSpan(move, store.getState().editor.selectedMarkIds, currentFrame());
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  const undoGroup = createUndoGroup('easing');
  const frames = to.frame - from.frame;
  const displacement = (to.fraction - from.fraction) * ruler.length;
  const began = meaning(start);
  const { x, share } = target.handle;
  return {
    drag: (pointer) => {
      const { frame, arcDistance } = meaning(pointer);
      if (frame === null || arcDistance === null || began.frame === null || began.arcDistance === null)
        return;
      const to = {
        x: x + frame - began.frame,
        share: share + (arcDistance - began.arcDistance) / displacement,
      };
      const { dragged } = describeEasing(from.easing.kind);
      const easing = dragged?.(from.easing, target.handle.id, to, frames) ?? from.easing;
      store.dispatch(doEdit('setEasing', { moveId: move.id, markId: from.id, easing }, undoGroup));
    },
  };
}
