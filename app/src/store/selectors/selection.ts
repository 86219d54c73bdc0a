import {
  type Arc,
  type ArcPoint,
  distanceAtParameter,
  evaluate,
  measureArc,
  type Travel,
  travelOfMove,
  type Vector,
} from '@humble/core';
import { type Edits, stepDescriptor } from '../../kinds/steps/index';
import type { EditorState } from '../editorSlice';
import type { RootState } from '../store';
import { selectActiveArc, selectActiveMove } from './active';

export const selectEdits = ({ session }: RootState): Edits => stepDescriptor(session.step).edits;

export const selectedPoints = (arc: Arc, { selectedPointIds }: EditorState): readonly ArcPoint[] =>
  arc.points.filter(({ id }) => selectedPointIds.includes(id));

export function selectActiveTravel(state: RootState): Travel | null {
  const { shot } = state.shot.present;
  const move = selectActiveMove(state);
  return (shot && move && travelOfMove(evaluate(shot), move.id)) ?? null;
}

export function selectFigurePlace(state: RootState, frame: number): (Vector & { readonly s: number }) | null {
  const travel = selectActiveTravel(state);
  if (!travel) return null;
  const i = travel.shown[Math.min(frame, travel.arcDistance.length) - 1]! - 1;
  return { x: travel.x[i]!, y: travel.y[i]!, s: travel.arcDistance[i]! };
}

export function selectFigurePivot(state: RootState, frame: number): Vector | null {
  const travel = selectActiveTravel(state);
  if (!travel) return null;
  const i = travel.shown[Math.min(frame, travel.arcDistance.length) - 1]! - 1;
  return { x: travel.pivotX[i]!, y: travel.pivotY[i]! };
}

/** The middle of the active figure on a frame, field units; the middle of its arc where nothing travels. */
export function selectFigureMiddle(state: RootState, frame: number): Vector | null {
  const pivot = selectFigurePivot(state, frame);
  if (pivot) return { x: pivot.x, y: pivot.y - selectActiveTravel(state)!.figureHeight / 4 };
  const arc = selectActiveArc(state);
  return arc ? middleOf(arc.points) : null;
}

/** Distance from the start to the place that was chosen on an arc, field units; null when there is none. */
export function chosenDistance(arc: Arc, { arcLocation }: EditorState): number | null {
  if (!arcLocation || !measureArc(arc).segments[arcLocation.segment]) return null;
  return distanceAtParameter(measureArc(arc), arcLocation.segment, arcLocation.t);
}

export function middleOf(points: readonly Vector[]): Vector {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return {
    x: (Math.min(...xs) + Math.max(...xs)) / 2,
    y: (Math.min(...ys) + Math.max(...ys)) / 2,
  };
}

/** About what the selection is turned, scaled and mirrored on a frame; null when nothing is selected. */
export function selectTransformCentre(state: RootState, frame: number): Vector | null {
  const arc = selectActiveArc(state);
  const points = arc ? selectedPoints(arc, state.editor) : [];
  if (points.length === 0) return null;
  const { about, centre } = state.editor;
  if (about === 'chosen' && centre) return centre;
  return (about === 'figure' ? selectFigurePlace(state, frame) : null) ?? middleOf(points);
}
