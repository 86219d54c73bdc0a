import { frameNumber } from '@humble/core';
import type { Tool } from '../../store/editorSlice';
import type { Grip } from './selectionBox';
import type { FieldState, Target } from './hitTest';

const GRIPS: Record<Grip, string> = {
  move: 'Drag: move what is selected.',
  turn: 'Drag: turn what is selected. Shift: by 15°.',
  scale: 'Drag: make what is selected larger or smaller.',
};

const TOOLS: Record<Exclude<Tool, 'shape'>, string> = {
  stroke: 'Draw a stroke.',
  points: 'Tap to place a point; drag while placing to steer.',
  centre: 'Tap the centre to turn and scale about.',
  calibrate: 'Draw a line over something whose length you know.',
  backdrop: 'Drag to move the backdrop; its grips turn and scale it.',
  pose: 'Tap where the figure is to stand on this frame.',
  act: 'Press and act it out: it is recorded until you lift.',
};

/** What putting the figure elsewhere will do. */
function poseHint({ figure, tool, arc }: FieldState): string {
  if (arc?.locked) return 'This arc is locked. Unlock it in the list of arcs.';
  if (!figure?.at) return TOOLS.pose;
  const { frame, playhead, adds } = figure;
  const how = tool === 'pose' ? 'Tap or drag' : 'Drag the figure';
  const lands = frame === playhead ? '' : `, where the exposure of frame ${playhead} begins`;
  return adds
    ? `${how}: a pose on frame ${frameNumber(frame)}${lands}, with a mark and a point of its own.`
    : `${how}: move the pose on frame ${frameNumber(frame)}${lands}.`;
}

function timingHint({ isSelectingSeveral }: FieldState, hovered: Target | null): string {
  switch (hovered?.kind) {
    case 'mark':
      return hovered.isTied
        ? `The mark on frame ${frameNumber(hovered.frame)} is tied to a point. Tap: select it.`
        : `Drag: move the mark on frame ${frameNumber(hovered.frame)}. Tap: select it.`;
    case 'tick':
      return `Drag: move the tick of frame ${frameNumber(hovered.frame)}. Tap: look at it.`;
    case 'by-hand':
      return `Drag: put frame ${frameNumber(hovered.frame)} by hand.`;
    case 'arc':
      return isSelectingSeveral
        ? 'Drag: pick part of the arc.'
        : 'Drag: look at another frame. Double click: add a mark. Shift: pick part of the arc.';
    default:
      return 'Drag a tick or a mark along the arc.';
  }
}

/** One line that says what a drag or a tap will do, before it begins. */
export function hintFor(state: FieldState, hovered: Target | null): string {
  const { arc, edits, tool } = state;
  if (tool === 'pose') return poseHint(state);
  if (tool !== 'shape') {
    if (hovered?.kind === 'placing' && hovered.closes) return 'Tap: close the arc here.';
    if (tool === 'points' && state.placed.length > 1)
      return 'Double tap or Enter: finish. Tap the first point: close.';
    return TOOLS[tool];
  }
  if (!arc) return 'Draw the arc with a stroke.';
  if (hovered?.kind === 'other-arc') return `Tap: work on “${hovered.name}”.`;
  if (edits === 'timing') return timingHint(state, hovered);
  if (edits === 'poses') return poseHint(state);
  if (edits !== 'arcs') return 'Drag along the arc to look at another frame.';
  if (arc.hidden) return 'This arc is hidden. Show it in the list of arcs.';
  if (arc.locked) return 'This arc is locked. Unlock it in the list of arcs.';
  switch (hovered?.kind) {
    case 'point':
      return 'Drag: move this point. Shift and click: select several.';
    case 'handle':
      return 'Drag: turn and stretch this handle.';
    case 'shape-handle':
      return `Drag: ${hovered.hint}.`;
    case 'grip':
      return GRIPS[hovered.grip];
    case 'arc':
      return arc.points.length > 0 && state.selectedPointIds.length === arc.points.length
        ? 'Drag: move the whole arc.'
        : 'Drag: bend the arc here. Double click: add a point.';
    case 'ground':
      return state.isSelectingSeveral
        ? 'Drag: select the points in a box.'
        : 'Drag: move the view. With Shift: select points in a box.';
    default:
      return state.isSelectingSeveral
        ? 'Tap points, or drag a box round them.'
        : 'Drag a point or the arc. Tap to select.';
  }
}
