import type { Vector } from '@humble/core';
import { gestureName } from '../ui/gestureName';

/** Nudges in shorter order than this are one undo step, milliseconds. */
const ONE_RUN_MS = 900;

/** What a run of nudges has come to, counted from where it began. */
export interface Run {
  readonly gesture: string;
  readonly total: Vector;
  readonly isFirst: boolean;
}

/**
 * Counts nudges of the same thing in short order as one gesture: each edit of a gesture is worked out from
 * where it began, so it needs all of them together.
 */
export function nudgeRun(): (of: string, by: Vector) => Run {
  let run = { of: '', gesture: '', total: { x: 0, y: 0 }, until: 0 };
  return (of, by) => {
    const now = performance.now();
    const isFirst = now >= run.until || run.of !== of;
    const { x, y } = isFirst ? { x: 0, y: 0 } : run.total;
    run = {
      of,
      gesture: isFirst ? gestureName('nudge') : run.gesture,
      total: { x: x + by.x, y: y + by.y },
      until: now + ONE_RUN_MS,
    };
    return { gesture: run.gesture, total: run.total, isFirst };
  };
}
