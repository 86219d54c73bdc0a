import type { Passage } from '@humble/core';
import { at, type Axis, isInSight } from '../../../ui/axis';
import type { PlacedHandle } from '../targets/selectTiming';

/** A knob keeps so far from the marks of its span, pixels: both are to be seen, and to be taken. */
const CLEAR_PX = 16;

/** But no further than this share of the span. */
const MAX_ASIDE = 1 / 3;

/**
 * Where the knob of a handle stands in the graph, pixels: at the handle, and beside a mark that it would lie on, as
 * it does when an easing leaves or arrives over no frames.
 */
export function knobSpot(
  { frame, arcDistance, ends }: Pick<PlacedHandle, 'frame' | 'arcDistance' | 'ends'>,
  time: Axis,
  distance: Axis,
): { readonly x: number; readonly y: number } {
  const spot = { x: at(time, frame), y: at(distance, arcDistance) };
  const aside = Math.min(CLEAR_PX, (at(time, ends[1].frame) - at(time, ends[0].frame)) * MAX_ASIDE);
  ends.forEach((end, i) => {
    const x = at(time, end.frame);
    if (Math.hypot(spot.x - x, spot.y - at(distance, end.arcDistance)) < aside)
      spot.x = i === 0 ? x + aside : x - aside;
  });
  return spot;
}

/** Height of the tabs by which a passage is made longer or shorter, pixels; they hang from the top of the graph. */
export const EDGE_PX = 14;

export const edgesOf = (passage: Passage | null, time: Axis): readonly ('from' | 'until')[] =>
  passage ? (['from', 'until'] as const).filter((edge) => isInSight(time, passage[edge])) : [];
