import { pointsSelected } from '../../state/handSlice';
import type { Target } from './hitTest';
import type { FieldContext, Hold, Pointer } from './hold';
import { arcHold, otherArcHold, scrubHold } from './holds/arcHolds';
import { backdropHold, selectionGripHold } from './holds/frameHolds';
import { centreHold, marqueeHold, placingHold, rulerHold, strokeHold } from './holds/makingHolds';
import { actHold } from './holds/actHold';
import { poseHold } from './holds/poseHold';
import { byHandHold, markHold, stretchHold, tickHold } from './holds/timingHolds';
import { handleHold, pointHold, shapeHandleHold } from './holds/pointHolds';

/** Empty ground: a tap lets go of what is selected, two show the whole field. */
function groundHold(context: FieldContext, start: Pointer): Hold {
  const { state } = context.situation();
  if (state.step === 'arc' && (start.isShift || state.isSelectingSeveral)) return marqueeHold(context, start);
  return {
    tap: () => context.store.dispatch(pointsSelected([])),
    tapTwice: () => context.viewChanges(null),
  };
}

/** What a press on a target holds from then on. */
export function takeHold(context: FieldContext, target: Target, start: Pointer): Hold {
  const { arc, step, tool, isSelectingSeveral } = context.situation().state;
  switch (target.kind) {
    case 'stroke':
      return strokeHold(context, start);
    case 'placing':
      return placingHold(context, target.closes, start);
    case 'centre':
      return centreHold(context, start);
    case 'ruler':
      return rulerHold(context, start);
    case 'backdrop':
      return backdropHold(context, 'move', start);
    case 'acting':
      return actHold(context, start);
    case 'figure':
      return poseHold(context, target, start);
    case 'other-arc':
      return otherArcHold(context, target.arcId);
    case 'ground':
      return groundHold(context, start);
  }
  if (target.kind === 'grip' && tool === 'backdrop') return backdropHold(context, target.grip, start);
  if (!arc) return {};
  switch (target.kind) {
    case 'grip':
      return selectionGripHold(context, arc, target.grip, start);
    case 'shape-handle':
      return shapeHandleHold(context, arc, target.id, start);
    case 'point':
      return pointHold(context, arc, target.pointId, start);
    case 'handle':
      return handleHold(context, arc, target.pointId, target.side, start);
    case 'arc':
      if (step === 'arc') return arcHold(context, arc, target, start);
      return step === 'timing' && (start.isShift || isSelectingSeveral)
        ? stretchHold(context, arc, start)
        : scrubHold(context, arc);
    case 'mark':
      return markHold(context, arc, target, start);
    case 'tick':
      return start.isShift || isSelectingSeveral
        ? stretchHold(context, arc, start)
        : tickHold(context, arc, target.frame, start);
    case 'by-hand':
      return byHandHold(context, target.frame, start);
  }
}
