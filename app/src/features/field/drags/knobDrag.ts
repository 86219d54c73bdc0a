import { distance, offsetFrom, offsetInField, trackDefinition } from '@humble/core';
import { TRACK_DESCRIPTORS } from '../../../kinds/tracks';
import { doEdit } from '../../../store/doEdit';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { DragHandler, FieldContext, Pointer } from '../dragHandler';
import { type FigureKnob } from '../figureKnob';

/** With Shift a figure turns by steps, degrees. */
const TURN_STEP_DEG = 15;

/** The rim, the corner or the pivot of the figure: dragged, a key stands at the playhead. */
export function knobDrag(context: FieldContext, knob: FigureKnob, start: Pointer): DragHandler {
  return knob.track === 'offset'
    ? offsetDrag(context, knob, start)
    : valueDrag(context, knob, knob.track, start);
}

function offsetDrag({ store }: FieldContext, knob: FigureKnob, start: Pointer): DragHandler {
  const { moveId, frame, value, valueDown, offsetIn, directionDeg } = knob;
  const undoGroup = createUndoGroup('offset');
  const stood = offsetInField(offsetIn, { x: value, y: valueDown }, directionDeg);
  return {
    drag: ({ point }) => {
      const by = { x: stood.x + point.x - start.point.x, y: stood.y + point.y - start.point.y };
      const { x, y } = offsetFrom(offsetIn, by, directionDeg);
      const { offsetReach: reach } = store.getState().editor;
      store.dispatch(doEdit('setOffset', { moveId, frame, x, y, reach }, undoGroup));
    },
  };
}

function valueDrag(
  { store }: FieldContext,
  knob: FigureKnob,
  track: 'turn' | 'size',
  start: Pointer,
): DragHandler {
  const { pivot, moveId, frame, value } = knob;
  const undoGroup = createUndoGroup('keys');
  const [least] = trackDefinition(track).range;
  const digits = 10 ** TRACK_DESCRIPTORS[track].decimals;
  const set = (wanted: number): void => {
    const { reach } = store.getState().editor;
    const rounded = Math.max(least, Math.round(wanted * digits) / digits);
    store.dispatch(doEdit('setKey', { moveId, track, frame, value: rounded, reach }, undoGroup));
  };
  const angleOf = ({ point }: Pointer): number =>
    (Math.atan2(point.y - pivot.y, point.x - pivot.x) * 180) / Math.PI;
  const startsAway = distance(start.point, pivot);
  let angle = angleOf(start);
  let turned = 0;
  return {
    drag: (now) => {
      if (track === 'size') {
        if (startsAway > 0) set((value * distance(now.point, pivot)) / startsAway);
        return;
      }
      // Round and round: each step goes the short way.
      const next = angleOf(now);
      turned += ((next - angle + 540) % 360) - 180;
      angle = next;
      set(value + (now.isShift ? Math.round(turned / TURN_STEP_DEG) * TURN_STEP_DEG : turned));
    },
  };
}
