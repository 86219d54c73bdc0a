import type { Vector } from '@humble/core';
import { createUndoGroup } from '../ui/undoGroup';

/** Nudges in shorter order than this are one undo step, milliseconds. */
const ONE_RUN_MS = 900;

export interface Run {
  readonly undoGroup: string;
  readonly total: Vector;
  readonly isFirst: boolean;
}

/**
 * Counts nudges of the same thing in short order as one gesture: each edit of a gesture is worked out from
 * where it began, so it needs all of them together.
 */
export function nudgeRun(): (of: string, by: Vector) => Run {
  let run = { of: '', undoGroup: '', total: { x: 0, y: 0 }, until: 0 };
  return (of, by) => {
    const now = performance.now();
    const isFirst = now >= run.until || run.of !== of;
    const { x, y } = isFirst ? { x: 0, y: 0 } : run.total;
    run = {
      of,
      undoGroup: isFirst ? createUndoGroup('nudge') : run.undoGroup,
      total: { x: x + by.x, y: y + by.y },
      until: now + ONE_RUN_MS,
    };
    return { undoGroup: run.undoGroup, total: run.total, isFirst };
  };
}
