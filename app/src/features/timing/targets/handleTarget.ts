import { defineTarget } from '../../../interaction/target';
import { describeEasing } from '../../../kinds/easings';
import { currentFrame } from '../../../playback/playhead';
import { doEdit } from '../../../store/doEdit';
import { currentSpan } from '../../../store/selectors/timingSelection';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { PlacedHandle } from './selectTiming';
import type { GraphTimingView } from './timingView';

export const handleTarget = defineTarget<GraphTimingView, PlacedHandle>({
  kind: 'handle',
  leadPx: 9,
  reachPx: ({ reachPx }) => reachPx,
  items: ({ handles }) => handles,
  press: ({ store, now: { move, ruler }, meaning }, { handle }, start) => {
    const index = currentSpan(move, store.getState().editor.selectedMarkIds, currentFrame());
    const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
    const undoGroup = createUndoGroup('easing');
    const frames = to.frame - from.frame;
    const displacement = (to.fraction - from.fraction) * ruler.length;
    const began = meaning(start);
    const { dragged } = describeEasing(from.easing.kind);
    return {
      drag: (pointer) => {
        const { frame, arcDistance } = meaning(pointer);
        if (frame === null || arcDistance === null || began.frame === null || began.arcDistance === null)
          return;
        const reached = {
          x: handle.x + frame - began.frame,
          share: handle.share + (arcDistance - began.arcDistance) / displacement,
        };
        const easing = dragged?.(from.easing, handle.id, reached, frames) ?? from.easing;
        store.dispatch(doEdit('setEasing', { moveId: move.id, markId: from.id, easing }, undoGroup));
      },
    };
  },
});
