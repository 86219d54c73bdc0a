import { type Arc, arcLength, nearestAbout, nearestPoint } from '@humble/core';
import { doEdit } from '../../../store/doEdit';
import { marksSelected, rangePicked } from '../../../store/editorSlice';
import { goTo } from '../../../playback/playhead';
import { selectActiveTravel } from '../../../store/selectors/selection';
import { addMark, createMarkDrag, createTickDrag } from '../../../commands/timing';
import { createUndoGroup } from '../../../ui/undoGroup';
import type { Target } from '../hitTest';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { selectActiveMove } from '../../../store/selectors/active';

/** What is dragged along the arc is looked for this share of its length about where it was: crossings hold no traps. */
const WINDOW = 0.15;

/**
 * Follows a pointer along an arc from a distance on, field units; it may go on round a closed one. What is
 * taken hold of does not jump to the pointer.
 */
function along(arc: Arc, from: number, start: Pointer): (now: Pointer) => number {
  const reach = WINDOW * arcLength(arc);
  const began = nearestAbout(arc, start.point, from, reach)?.s ?? from;
  let s = began;
  return ({ point }) => {
    s = nearestAbout(arc, point, s, reach)?.s ?? s;
    return from + s - began;
  };
}

export function markDrag(
  { store, snapshot }: FieldContext,
  arc: Arc,
  { markIds, frame, isTied }: Extract<Target, { kind: 'mark' }>,
  start: Pointer,
): DragHandler {
  const { selectedMarkIds: before } = store.getState().editor;
  const isJoining = start.isShift || snapshot().state.isSelectingSeveral;
  const wasSelected = markIds.every((id) => before.includes(id));
  const dragged = wasSelected || isJoining ? [...new Set([...before, ...markIds])] : markIds;
  const held = selectActiveMove(store.getState())?.marks.find(({ id }) => id === markIds[0]);
  const length = arcLength(arc);
  const drag = createMarkDrag(store, dragged, markIds[0]!);
  const follow = held && along(arc, held.fraction * length, start);
  let isFirst = true;
  return {
    drag: (now) => {
      if (isFirst) store.dispatch(marksSelected(dragged));
      isFirst = false;
      if (follow && length > 0 && !isTied) drag?.to({ fraction: follow(now) / length });
    },
    tap: () => {
      if (isJoining)
        store.dispatch(
          marksSelected(wasSelected ? before.filter((id) => !markIds.includes(id)) : [...before, ...markIds]),
        );
      else {
        store.dispatch(marksSelected(markIds));
        goTo(frame);
      }
    },
  };
}

export function tickDrag({ store }: FieldContext, arc: Arc, frame: number, start: Pointer): DragHandler {
  const travel = selectActiveTravel(store.getState());
  const drag = createTickDrag(store, frame);
  if (!travel || !drag) return {};
  const follow = along(arc, travel.arcDistance[frame - 1]!, start);
  return {
    drag: (now) => {
      goTo(frame);
      drag.to({ fraction: follow(now) / (travel.arcLength || 1) });
    },
    tap: () => goTo(frame),
    tapTwice: () => void store.dispatch(addMark(frame)),
  };
}

/** The figure at the playhead, in the Timing step: dragged along its arc, the mark of its frame goes with it. */
export function figureAlongDrag({ store }: FieldContext, frame: number, start: Pointer): DragHandler {
  const travel = selectActiveTravel(store.getState());
  if (!travel || travel.arcLength === 0) return {};
  const { move, arc, arcLength: length } = travel;
  const mark = move.marks.find((one) => one.frame === frame);
  const follow = along(arc, travel.arcDistance[frame - 1]!, start);
  const undoGroup = createUndoGroup('marks');
  const markDragged = mark && createMarkDrag(store, [mark.id], mark.id);
  return {
    drag: (now) => {
      const fraction = follow(now) / length;
      if (mark) {
        if (mark.pointId === null) markDragged?.to({ fraction });
      } else store.dispatch(doEdit('addMark', { moveId: move.id, frame, fraction }, undoGroup));
    },
    drop: () => {
      const made = selectActiveMove(store.getState())?.marks.find((one) => one.frame === frame);
      if (made) store.dispatch(marksSelected([made.id]));
    },
    tap: () => goTo(frame),
  };
}

export function byHandDrag({ store }: FieldContext, frame: number, start: Pointer): DragHandler {
  const move = selectActiveMove(store.getState());
  const override = move?.overrides.find((one) => one.frame === frame);
  if (!move || !override) return {};
  const name = createUndoGroup('by-hand');
  return {
    drag: ({ point }) => {
      goTo(frame);
      const [dx, dy] = [override.dx + point.x - start.point.x, override.dy + point.y - start.point.y];
      store.dispatch(doEdit('putByHand', { moveId: move.id, frame, dx, dy }, name));
    },
    tap: () => goTo(frame),
  };
}

export function stretchDrag({ store }: FieldContext, arc: Arc, start: Pointer): DragHandler {
  const length = arcLength(arc);
  const began = nearestPoint(arc, start.point)?.s ?? 0;
  const follow = along(arc, began, start);
  return {
    drag: (now) => {
      if (length === 0) return;
      const reached = follow(now);
      const [from, to] = [Math.min(began, reached) / length, Math.max(began, reached) / length];
      store.dispatch(rangePicked({ by: 'stretch', from, to }));
    },
    tap: () => void store.dispatch(rangePicked(null)),
  };
}
