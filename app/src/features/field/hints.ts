import { fieldWords as words } from '../../words/field';
import { shootWords } from '../../words/shoot';
import type { Tool } from '../../store/editorSlice';
import type { Grip } from './selectionBox';
import type { FieldState, Target } from './hitTest';
import { frameNumber } from '../../store/frameNumbers';

const GRIPS: Record<Grip, string> = {
  move: words.moveSelectionHint,
  turn: words.turnSelectionHint,
  scale: words.scaleSelectionHint,
};

const TOOLS: Record<Exclude<Tool, 'shape'>, string> = {
  stroke: words.drawAStroke,
  points: words.tapToPlaceAPointDrag,
  centre: words.chooseCentreHint,
  calibrate: words.calibrateHint,
  backdrop: words.backdropHint,
  pose: words.placeFigureHint,
  act: words.pressAndActItOutIt,
  corners: shootWords.tapCorners,
};

function poseHint({ figure, tool, arc, isPutByTap }: FieldState): string {
  if (arc?.locked) return words.lockedArcHint;
  if (!figure?.at) return TOOLS.pose;
  const { frame, playhead, adds } = figure;
  const how = tool === 'pose' || isPutByTap ? words.tapOrDrag : words.dragTheFigure;
  const lands = frame === playhead ? '' : words.exposureBeginsHint(playhead);
  return adds
    ? words.aPoseOnFrameWithA(how, frameNumber(frame), lands)
    : words.moveThePoseOnFrame(how, frameNumber(frame), lands);
}

function timingHint({ isSelectingSeveral }: FieldState, hovered: Target | null): string {
  switch (hovered?.kind) {
    case 'mark':
      return hovered.isTied
        ? words.theMarkOnFrameIsTied(frameNumber(hovered.frame))
        : words.markHint(frameNumber(hovered.frame));
    case 'tick':
      return words.tickHint(frameNumber(hovered.frame));
    case 'figure':
      return words.dragFigureAlong(frameNumber(hovered.frame));
    case 'by-hand':
      return words.dragPutFrameByHand(frameNumber(hovered.frame));
    case 'arc':
      return isSelectingSeveral ? words.dragPickPartOfTheArc : words.timingArcHint;
    default:
      return words.dragATickOrAMark;
  }
}

function shootHint({ told }: NonNullable<FieldState['shoot']>, hovered: Target | null): string {
  if (hovered?.kind === 'corner') return shootWords.cornerHint;
  if (hovered?.kind === 'stage-figure') return shootWords.stageHint;
  return told ? shootWords.standHint(frameNumber(told.frame)) : shootWords.takeHint;
}

export function hintFor(state: FieldState, hovered: Target | null): string {
  const { arc, edits, tool } = state;
  if (tool === 'pose') return poseHint(state);
  if (tool !== 'shape') {
    if (hovered?.kind === 'placing' && hovered.closes) return words.tapCloseTheArcHere;
    if (tool === 'points' && state.placed.length > 1) return words.finishArcHint;
    return TOOLS[tool];
  }
  if (state.shoot) return shootHint(state.shoot, hovered);
  if (hovered?.kind === 'other-figure')
    return hovered.other.waits
      ? words.dragWaitingFigure(hovered.other.name)
      : words.tapWorkOn(hovered.other.name);
  if (state.waits && edits === 'poses')
    return hovered?.kind === 'arc' || hovered?.kind === 'other-arc'
      ? words.tapPutWaitingHere(state.waits)
      : words.tapArcForWaiting(state.waits);
  if (hovered?.kind === 'rider') return words.dragPart(hovered.rider.name);
  if (!arc) return edits === 'poses' ? TOOLS.pose : words.strokeHint;
  if (hovered?.kind === 'other-arc') return words.tapWorkOn(hovered.name);
  if (edits === 'timing') return timingHint(state, hovered);
  if (hovered?.kind === 'knob')
    return { turn: words.dragTurnFigure, size: words.dragSizeFigure, offset: words.dragOffsetFigure }[
      hovered.knob.track
    ];
  if (edits === 'poses') return poseHint(state);
  if (edits !== 'arcs') return words.scrubArcHint;
  if (arc.hidden) return words.hiddenArcHint;
  if (arc.locked) return words.lockedArcHint;
  switch (hovered?.kind) {
    case 'point':
      return words.pointHint;
    case 'handle':
      return words.handleHint;
    case 'shape-handle':
      return words.drag(hovered.hint);
    case 'grip':
      return GRIPS[hovered.grip];
    case 'arc':
      return arc.points.length > 0 && state.selectedPointIds.length === arc.points.length
        ? words.dragMoveTheWholeArc
        : words.arcHint;
    case 'ground':
      return state.isSelectingSeveral ? words.boxHint : words.groundHint;
    default:
      return state.isSelectingSeveral ? words.tapPointsOrDragABox : words.dragAPointOrTheArc;
  }
}
