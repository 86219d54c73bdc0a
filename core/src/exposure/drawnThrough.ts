import type { Move, ShownDrawing } from '../model/schema';
import { easedDistance } from '../timing/easedDistance';
import { fractionAt } from '../timing/placeInTime';

/** Two drawings that follow each other on a move, the first of which is drawn through to the second. */
export interface DrawnThrough {
  readonly from: ShownDrawing;
  readonly to: ShownDrawing;
}

type Drawn = Pick<Move, 'drawings' | 'marks' | 'before' | 'after'>;

/** All that is drawn through on a move, in order of time. */
export const drawnThroughSpans = ({ drawings }: Pick<Move, 'drawings'>): readonly DrawnThrough[] =>
  drawings.flatMap((from, i): readonly DrawnThrough[] => {
    const to = drawings[i + 1];
    return from.drawnThrough && to && to.drawing !== from.drawing ? [{ from, to }] : [];
  });

/** What is drawn through on a frame; null on its two key drawings and where a drawing is held. */
export function drawnThroughOn({ drawings }: Pick<Move, 'drawings'>, frame: number): DrawnThrough | null {
  const i = drawings.findLastIndex((shown) => shown.frame <= frame);
  const [from, to] = [drawings[i], drawings[i + 1]];
  return from?.drawnThrough && to && to.drawing !== from.drawing && frame > from.frame ? { from, to } : null;
}

/** A move that goes no further than this share of its arc between two keys stands still. */
const STILL = 1e-9;

/**
 * How far the second drawing is reached on a frame: by the chart of the span, or as far as the figure has come on its way
 * between the two frames; of one that stands still evenly. Before the first drawing it is 0, after the second 1.
 * @param frame real
 */
export function shareThrough(move: Drawn, { from, to }: DrawnThrough, frame: number): number {
  const frames = to.frame - from.frame;
  const x = frame - from.frame;
  if (x <= 0) return 0;
  if (x >= frames) return 1;
  const easing = from.drawnThrough?.easing;
  if (easing) return Math.min(1, Math.max(0, easedDistance(easing, x, frames, 1)));
  const [start, end] = [fractionAt(move, from.frame), fractionAt(move, to.frame)];
  if (Math.abs(end - start) < STILL) return x / frames;
  return Math.min(1, Math.max(0, (fractionAt(move, frame) - start) / (end - start)));
}
