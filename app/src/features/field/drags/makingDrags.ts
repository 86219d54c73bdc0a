import { PLAIN, type PointShape, type Vector } from '@humble/core';
import { centreChosen, lineLaid, pointsPlaced, pointsSelected } from '../../../store/editorSlice';
import { finishPlacing } from '../../../commands/placing';
import { drawStroke } from '../../../commands/sketch';
import { createUndoGroup } from '../../../ui/undoGroup';
import { REACH_PX } from '../hitTest';
import type { FieldContext, DragHandler, Pointer } from '../dragHandler';
import { setPointerScene } from '../pointerScene';
import { snapper } from './snapping';

/** How far a fitted arc may lie from the stroke unless the user says otherwise, pixels. */
const STROKE_DEVIATION_PX = 2.5;
/** A shorter stroke was a slip of the hand, pixels. */
const MIN_STROKE_PX = 12;

const lengthOf = (points: readonly Vector[]): number =>
  points.reduce(
    (sum, p, i) => sum + (i > 0 ? Math.hypot(p.x - points[i - 1]!.x, p.y - points[i - 1]!.y) : 0),
    0,
  );

export function strokeDrag({ store, snapshot }: FieldContext, start: Pointer): DragHandler {
  const stroke = [start.point];
  return {
    drag: ({ trail }) => {
      stroke.push(...trail);
      setPointerScene({ stroke: [...stroke] });
    },
    drop: () => {
      const { scale } = snapshot().projection;
      if (lengthOf(stroke) * scale < MIN_STROKE_PX) return;
      void store.dispatch(
        drawStroke(stroke, REACH_PX / scale, STROKE_DEVIATION_PX / scale, createUndoGroup('stroke')),
      );
    },
  };
}

export function placingDrag(context: FieldContext, closes: boolean, start: Pointer): DragHandler {
  const { store, snapshot } = context;
  const before = store.getState().editor.placed;
  if (closes) return { tap: () => store.dispatch(finishPlacing(true)) };
  const last = before[before.length - 1];
  const settle = snapper(context, last ?? start.point);
  const at =
    last && start.isShift ? settle(start.point, start) : settle(start.point, { ...start, isShift: false });
  const still = { x: 0, y: 0 };
  const plain: PointShape = { ...at, in: still, out: still, kind: 'smooth', shaping: PLAIN };
  const isAgain =
    last !== undefined &&
    Math.hypot(last.x - at.x, last.y - at.y) * snapshot().projection.scale < MIN_STROKE_PX;
  if (isAgain) return { tapTwice: () => store.dispatch(finishPlacing(false)) };
  store.dispatch(pointsPlaced([...before, plain]));
  return {
    cancel: () => store.dispatch(pointsPlaced(before)),
    drag: ({ point }) => {
      const out = { x: point.x - at.x, y: point.y - at.y };
      store.dispatch(
        pointsPlaced([...before, { ...at, in: { x: -out.x, y: -out.y }, out, kind: 'even', shaping: null }]),
      );
    },
  };
}

export function marqueeDrag({ store, snapshot }: FieldContext, start: Pointer): DragHandler {
  const { arc, selectedPointIds } = snapshot().state;
  return {
    drag: ({ point: to }) => {
      const from = start.point;
      setPointerScene({ marquee: { from, to } });
      const isIn = ({ x, y }: Vector): boolean =>
        x >= Math.min(from.x, to.x) &&
        x <= Math.max(from.x, to.x) &&
        y >= Math.min(from.y, to.y) &&
        y <= Math.max(from.y, to.y);
      const ids = arc?.points.filter(isIn).map(({ id }) => id) ?? [];
      store.dispatch(pointsSelected([...new Set([...selectedPointIds, ...ids])]));
    },
    tap: () => store.dispatch(pointsSelected([])),
  };
}

export const centreDrag = ({ store }: FieldContext, start: Pointer): DragHandler => ({
  tap: () => store.dispatch(centreChosen(start.point)),
  drag: () => undefined,
  drop: ({ point }) => store.dispatch(centreChosen(point)),
});

export const rulerDrag = (context: FieldContext, start: Pointer): DragHandler => ({
  drag: ({ point, isShift }) => {
    const settle = snapper(context, start.point);
    const to = isShift ? settle(point, { ...start, isShift }) : point;
    context.store.dispatch(lineLaid({ from: start.point, to }));
  },
});
