import type { UnrolledArc } from '@humble/core';
import { fixed } from '../../ui/numbers';

/** How places on the arc lie on the ruler's view. */
export interface RulerScale {
  /** Pixels from the left for a place. */
  readonly at: (place: number) => number;
  readonly pixelsPerUnit: number;
}

const SIDE = 12;
/** An increment is written where the gap leaves this much room for it, pixels. */
const LABEL_ROOM = 34;

export function scaleOf({ from, to }: UnrolledArc, width: number): RulerScale {
  const pixelsPerUnit = to > from ? Math.max(0, width - 2 * SIDE) / (to - from) : 0;
  return { pixelsPerUnit, at: (place) => SIDE + (place - from) * pixelsPerUnit };
}

/** A label keeps this far from a post, pixels. */
const POST_ROOM = 17;

/** Increments to write over the ruler, each above its gap: none over another, none across a post. */
export function incrementLabels(
  { ticks, posts }: UnrolledArc,
  { at }: RulerScale,
): { x: number; text: string }[] {
  const labels: { x: number; text: string }[] = [];
  ticks.forEach(({ place, along }, i) => {
    const before = ticks[i - 1];
    if (along === null || along === 0 || !before) return;
    const x = (at(place) + at(before.place)) / 2;
    const isFree =
      labels.every((label) => Math.abs(label.x - x) >= LABEL_ROOM) &&
      posts.every((post) => Math.abs(at(post.place) - x) >= POST_ROOM);
    if (isFree) labels.push({ x, text: fixed(along, 1) });
  });
  return labels;
}

/** The frame of the tick nearest to x; of ticks on one spot the one nearest in time. */
export function nearestTick({ ticks }: UnrolledArc, { at }: RulerScale, x: number, from: number): number {
  let best = from;
  let least = Infinity;
  for (const { frame, place } of ticks) {
    const away = Math.abs(at(place) - x) + Math.abs(frame - from) * 1e-6;
    if (away < least) {
      least = away;
      best = frame;
    }
  }
  return best;
}
