import type { PressHandler, ViewPointer } from '../../../render/pointerSession';
import { marksSelected } from '../../../store/editorSlice';
import { goTo } from '../../../playback/playhead';
import { createMarkDrag } from '../../../commands/timing';
import { selectTiming } from './selectTiming';
import type { ViewTarget } from './viewTargets';
import type { DragOptions } from './viewDrags';

/** A mark: dragged with all that are selected with it, selected by a tap. */
export function markDrag(
  { store, ruler, meaning }: DragOptions,
  target: Extract<ViewTarget, { kind: 'mark' }>,
  start: ViewPointer,
): PressHandler<ViewPointer> {
  const { markIds, frame } = target.post;
  const { selectedMarkIds: before, isSelectingSeveral } = store.getState().editor;
  const isJoining = start.isShift || isSelectingSeveral;
  const wasSelected = markIds.every((id) => before.includes(id));
  const dragged = wasSelected || isJoining ? [...new Set([...before, ...markIds])] : markIds;
  const drag = createMarkDrag(store, dragged, markIds[0]!);
  const began = meaning(start);
  const move = selectTiming(store.getState())?.move;
  const held = move?.marks.find(({ id }) => id === markIds[0]);
  let isFirst = true;
  return {
    drag: (now) => {
      if (isFirst) store.dispatch(marksSelected(dragged));
      isFirst = false;
      const { frame: toFrame, arcDistance } = meaning(now);
      drag?.to({
        ...(toFrame !== null && began.frame !== null && { frame: frame + toFrame - began.frame }),
        ...(arcDistance !== null &&
          began.arcDistance !== null &&
          held &&
          !held.pointId && {
            fraction: held.fraction + (arcDistance - began.arcDistance) / (ruler.length || 1),
          }),
      });
    },
    tap: () => {
      if (isJoining && wasSelected)
        store.dispatch(marksSelected(before.filter((id) => !markIds.includes(id))));
      else store.dispatch(marksSelected(isJoining ? [...before, ...markIds] : markIds));
      if (!isJoining) goTo(frame);
    },
  };
}
