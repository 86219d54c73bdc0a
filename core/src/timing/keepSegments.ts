import { measureArc } from '../arc/arcMeasure';
import type { Arc, Move } from '../model/schema';
import { syncTiedMarks } from './keepTiming';

/**
 * The move on an arc some of whose segments were changed: marks that are tied go with their points, the others
 * stay on their segment, at the same share of it. Where a segment did not change nothing moves.
 * @param segmentAfter which segment of the new arc a segment of the old one has become
 */
export function keptOnSegments(
  move: Move,
  before: Arc,
  after: Arc,
  segmentAfter: (segment: number) => number,
): Move {
  const [was, is] = [measureArc(before), measureArc(after)];
  if (was.length === 0 || is.length === 0) return syncTiedMarks(move, after);
  const moved = (fraction: number): number => {
    const lap = before.closed ? Math.floor(fraction) : 0;
    const s = (fraction - lap) * was.length;
    let segment = was.segments.length - 1;
    while (segment > 0 && was.startDistance[segment]! > s) segment--;
    const { length } = was.segments[segment]!;
    const share = length > 0 ? Math.min(1, (s - was.startDistance[segment]!) / length) : 0;
    const to = segmentAfter(segment);
    return lap + (is.startDistance[to]! + share * (is.segments[to]?.length ?? 0)) / is.length;
  };
  const marks = move.marks.map((mark) => ({ ...mark, fraction: moved(mark.fraction) }));
  const skips = move.skips.map((skip) =>
    skip.cut ? { ...skip, cut: { ...skip.cut, fraction: moved(skip.cut.fraction) } } : skip,
  );
  return syncTiedMarks({ ...move, marks, skips }, after);
}
