import type { UnrolledArc } from '@humble/core';
import { doEdit } from '../../../state/doEdit';
import { marksSelected, rangeChosen } from '../../../state/editorSlice';
import { currentFrame, goTo } from '../../../state/playhead';
import type { AppStore } from '../../../state/store';
import { currentSpan, createMarkDrag, createTickDrag } from '../../../state/timing';
import { createUndoGroup } from '../../../ui/undoGroup';
import { timingIn } from './timingIn';
import { describeEasing } from '../easings';
import type { ViewDragHandler, ViewPointer } from './useViewGestures';
import type { ViewTarget } from './viewTargets';

/** What a pointer on a view stands for; null where the view does not say. */
export interface Meaning {
  readonly frame: number | null;
  /** Units of the ruler. */
  readonly place: number | null;
}

export interface DragOptions {
  readonly store: AppStore;
  readonly ruler: UnrolledArc;
  readonly meaning: (pointer: { readonly x: number; readonly y: number }) => Meaning;
  /** The frame that is looked at where nothing is taken hold of. */
  readonly frameAt: (pointer: { readonly x: number; readonly y: number }) => number;
}

/** A mark: dragged with all that are selected with it, selected by a tap. */
function markHold(
  { store, ruler, meaning }: DragOptions,
  target: Extract<ViewTarget, { kind: 'mark' }>,
  start: ViewPointer,
): ViewDragHandler {
  const { markIds, frame } = target.post;
  const { selectedMarkIds: before, isSelectingSeveral } = store.getState().editor;
  const isJoining = start.isShift || isSelectingSeveral;
  const wasSelected = markIds.every((id) => before.includes(id));
  const dragged = wasSelected || isJoining ? [...new Set([...before, ...markIds])] : markIds;
  const drag = createMarkDrag(store, dragged, markIds[0]!);
  const began = meaning(start);
  const move = timingIn(store.getState())?.move;
  const held = move?.marks.find(({ id }) => id === markIds[0]);
  let isFirst = true;
  return {
    drag: (now) => {
      if (isFirst) store.dispatch(marksSelected(dragged));
      isFirst = false;
      const { frame: toFrame, place } = meaning(now);
      drag?.to({
        ...(toFrame !== null && began.frame !== null && { frame: frame + toFrame - began.frame }),
        ...(place !== null &&
          began.place !== null &&
          held &&
          !held.pointId && { fraction: held.fraction + (place - began.place) / (ruler.length || 1) }),
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

function tickHold(
  { store, ruler, meaning }: DragOptions,
  frame: number,
  start: ViewPointer,
): ViewDragHandler {
  const drag = createTickDrag(store, frame);
  const tick = ruler.ticks.find((one) => one.frame === frame);
  const began = meaning(start).place;
  return {
    drag: (now) => {
      const { place } = meaning(now);
      if (place === null || began === null || !tick) return;
      goTo(frame);
      drag?.to({ fraction: (tick.place + place - began) / (ruler.length || 1) });
    },
    tap: () => goTo(frame),
  };
}

function handleHold(
  { store, ruler, meaning }: DragOptions,
  target: Extract<ViewTarget, { kind: 'handle' }>,
  start: ViewPointer,
): ViewDragHandler {
  const now = timingIn(store.getState());
  if (!now) return {};
  const { move } = now;
  const index = currentSpan(move, store.getState().editor.selectedMarkIds, currentFrame());
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  const undoGroup = createUndoGroup('easing');
  const frames = to.frame - from.frame;
  const way = (to.fraction - from.fraction) * ruler.length;
  const began = meaning(start);
  const { x, share } = target.handle;
  return {
    drag: (pointer) => {
      const { frame, place } = meaning(pointer);
      if (frame === null || place === null || began.frame === null || began.place === null) return;
      const to = { x: x + frame - began.frame, share: share + (place - began.place) / way };
      const { dragged } = describeEasing(from.easing.kind);
      const easing = dragged?.(from.easing, target.handle.id, to, frames) ?? from.easing;
      store.dispatch(doEdit('setEasing', { moveId: move.id, markId: from.id, easing }, undoGroup));
    },
  };
}

/** Empty ground: the playhead follows; with Shift, or where several are selected, a range is chosen. */
function groundHold({ store, frameAt }: DragOptions, start: ViewPointer): ViewDragHandler {
  if (start.isShift || store.getState().editor.isSelectingSeveral) {
    const began = frameAt(start);
    return {
      drag: (now) => {
        const reached = frameAt(now);
        const [from, until] = [Math.min(began, reached), Math.max(began, reached)];
        store.dispatch(rangeChosen({ by: 'frames', from, until }));
      },
      tap: () => store.dispatch(rangeChosen(null)),
    };
  }
  const look = (now: ViewPointer): void => goTo(frameAt(now));
  return {
    drag: look,
    tap: (now) => {
      store.dispatch(marksSelected([]));
      look(now);
    },
  };
}

/** What a press on a view of the timing holds from then on. */
export function createViewDragHandler(
  options: DragOptions,
  target: ViewTarget | null,
  start: ViewPointer,
): ViewDragHandler {
  switch (target?.kind) {
    case 'mark':
      return markHold(options, target, start);
    case 'tick':
      return start.isShift || options.store.getState().editor.isSelectingSeveral
        ? groundHold(options, start)
        : tickHold(options, target.frame, start);
    case 'handle':
      return handleHold(options, target, start);
    default:
      return groundHold(options, start);
  }
}
