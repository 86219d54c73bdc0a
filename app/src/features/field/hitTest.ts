import { type Arc, distance, handlePlace, nearestPlace, type Vector } from '@humble/core';
import type { Step } from '../../state/sessionSlice';

/** What a press on the field would take hold of. */
export type Target =
  | { readonly kind: 'draw' }
  | { readonly kind: 'point'; readonly pointId: string }
  | { readonly kind: 'handle'; readonly pointId: string; readonly side: 'in' | 'out' }
  | {
      readonly kind: 'arc';
      readonly stretch: number;
      readonly t: number;
      readonly s: number;
      readonly point: Vector;
    }
  | { readonly kind: 'ground' };

export interface FieldState {
  readonly step: Step;
  readonly arc: Arc | null;
  readonly selectedPointId: string | null;
  readonly isRedrawing: boolean;
}

/** Half of a finger's target, pixels. */
export const REACH_PX = 22;

/**
 * What lies under a place of the field: the nearest point or handle within reach, else the arc, else
 * the ground. Before there is an arc, and while it is drawn anew, everything is paper to draw on.
 * @param reach field units
 */
export function targetAt(state: FieldState, place: Vector, reach: number): Target {
  const { arc, step, selectedPointId } = state;
  if (!arc || state.isRedrawing) return { kind: 'draw' };
  let best: Target | null = null;
  let least = reach;
  if (step === 'arc') {
    const consider = (candidate: Target, at: Vector): void => {
      const away = distance(at, place);
      if (away > least) return;
      best = candidate;
      least = away;
    };
    const selected = arc.points.find((point) => point.id === selectedPointId);
    for (const point of arc.points) consider({ kind: 'point', pointId: point.id }, point);
    // A handle wins over its own point when both are as near.
    if (selected)
      for (const side of ['in', 'out'] as const)
        if (selected[side].x !== 0 || selected[side].y !== 0)
          consider({ kind: 'handle', pointId: selected.id, side }, handlePlace(selected, side));
    if (best) return best;
  }
  const nearest = nearestPlace(arc, place);
  if (!nearest || nearest.away > reach) return { kind: 'ground' };
  const { stretch, t, s, point } = nearest;
  return { kind: 'arc', stretch, t, s, point };
}

/** One line that says what a drag or a tap will do, before it begins. */
export function hintFor(
  { step, hasArc, isRedrawing }: { step: Step; hasArc: boolean; isRedrawing: boolean },
  hovered: Target | null,
): string {
  if (!hasArc) return 'Draw the arc with one stroke.';
  if (isRedrawing) return 'Draw the arc anew with one stroke. Its timing stays.';
  if (step !== 'arc') return 'Drag along the arc to look at another frame.';
  switch (hovered?.kind) {
    case 'point':
      return 'Drag: move this point.';
    case 'handle':
      return 'Drag: turn and stretch this handle.';
    case 'arc':
      return 'Click: a new point here.';
    case 'ground':
      return 'Drag: move the view. Turn the wheel: zoom.';
    default:
      return 'Drag a point to shape the arc. Tap the arc for a new point.';
  }
}
