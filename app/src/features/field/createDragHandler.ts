import { pointsSelected } from '../../store/editorSlice';
import type { Target } from './hitTest';
import type { FieldContext, DragHandler, Pointer } from './dragHandler';
import { arcDrag, otherArcDrag, scrubDrag } from './drags/arcDrags';
import { backdropDrag, selectionGripDrag } from './drags/boxDrags';
import { centreDrag, marqueeDrag, placingDrag, rulerDrag, strokeDrag } from './drags/makingDrags';
import { actDrag } from './drags/actDrag';
import { otherFigureDrag } from './drags/otherFigureDrag';
import { riderDrag } from './drags/riderDrag';
import { knobDrag } from './drags/knobDrag';
import { poseDrag, tapPutsFigure } from './drags/poseDrag';
import { byHandDrag, figureAlongDrag, markDrag, stretchDrag, tickDrag } from './drags/timingDrags';
import { cornerDrag, cornerTap, stageDrag, standDrag } from './drags/shootDrags';
import { handleDrag, pointDrag, shapeHandleDrag } from './drags/pointDrags';

function groundDrag(context: FieldContext, start: Pointer): DragHandler {
  const { state } = context.snapshot();
  if (state.tool === 'corners') return { tap: ({ point }) => cornerTap(context, point) };
  if (state.edits === 'arcs' && (start.isShift || state.isSelectingSeveral))
    return marqueeDrag(context, start);
  const puts = tapPutsFigure(context);
  return {
    tap: ({ point }) => (puts ? void puts(point) : void context.store.dispatch(pointsSelected([]))),
    tapTwice: () => context.viewChanges(null),
  };
}

export function createDragHandler(context: FieldContext, target: Target, start: Pointer): DragHandler {
  const { tool } = context.snapshot().state;
  switch (target.kind) {
    case 'stroke':
      return strokeDrag(context, start);
    case 'placing':
      return placingDrag(context, target.closes, start);
    case 'centre':
      return centreDrag(context, start);
    case 'ruler':
      return rulerDrag(context, start);
    case 'backdrop':
      return backdropDrag(context, 'move', start);
    case 'acting':
      return actDrag(context, start);
    case 'figure':
      return context.snapshot().state.edits === 'timing'
        ? figureAlongDrag(context, target.frame, start)
        : poseDrag(context, target, start);
    case 'knob':
      return knobDrag(context, target.knob, start);
    case 'other-figure':
      return otherFigureDrag(context, target.other, start);
    case 'rider':
      return riderDrag(context, target.rider, start);
    case 'other-arc':
      return otherArcDrag(context, target.arcId);
    case 'stand':
      return standDrag(context, target.isMarked);
    case 'stage-figure':
      return stageDrag(target, context, start);
    case 'corner':
      return cornerDrag(context, target.corner);
    case 'ground':
      return groundDrag(context, start);
    case 'grip':
      return tool === 'backdrop' ? backdropDrag(context, target.grip, start) : onArc(context, target, start);
    case 'shape-handle':
    case 'point':
    case 'handle':
    case 'arc':
    case 'mark':
    case 'tick':
    case 'by-hand':
      return onArc(context, target, start);
  }
}

type ArcTarget = Extract<
  Target,
  { kind: 'grip' | 'shape-handle' | 'point' | 'handle' | 'arc' | 'mark' | 'tick' | 'by-hand' }
>;

function onArc(context: FieldContext, target: ArcTarget, start: Pointer): DragHandler {
  const { arc, edits, isSelectingSeveral } = context.snapshot().state;
  if (!arc) return {};
  switch (target.kind) {
    case 'grip':
      return selectionGripDrag(context, arc, target.grip, start);
    case 'shape-handle':
      return shapeHandleDrag(context, arc, target.id, start);
    case 'point':
      return pointDrag(context, arc, target.pointId, start);
    case 'handle':
      return handleDrag(context, arc, target.pointId, target.side, start);
    case 'arc':
      if (edits === 'arcs') return arcDrag(context, arc, target, start);
      return edits === 'timing' && (start.isShift || isSelectingSeveral)
        ? stretchDrag(context, arc, start)
        : scrubDrag(context, arc);
    case 'mark':
      return markDrag(context, arc, target, start);
    case 'tick':
      return start.isShift || isSelectingSeveral
        ? stretchDrag(context, arc, start)
        : tickDrag(context, arc, target.frame, start);
    case 'by-hand':
      return byHandDrag(context, target.frame, start);
  }
}
