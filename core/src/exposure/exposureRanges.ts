import { outOfRange } from '../model/errors';
import type { ExposureRange, Move } from '../model/schema';

function outside(
  range: ExposureRange,
  { from, until }: Pick<ExposureRange, 'from' | 'until'>,
): ExposureRange[] {
  const parts = [
    { ...range, until: Math.min(range.until, from - 1) },
    { ...range, from: Math.max(range.from, until + 1) },
  ];
  return parts.filter((part) => part.from <= part.until);
}

/**
 * The move held otherwise on some frames, both ends included. Ranges beneath give way; a range that is held
 * as the rest of the move is none.
 * @throws ShotError `out-of-range`
 */
export function withRangeHeld(move: Move, range: ExposureRange): Move {
  if (range.until < range.from) throw outOfRange('A range ends after it begins.');
  const others = move.exposures.flatMap((other) => outside(other, range));
  const all = range.framesHeld === move.framesHeld ? others : [...others, range];
  const exposures: ExposureRange[] = [];
  for (const next of all.sort((a, b) => a.from - b.from)) {
    const last = exposures[exposures.length - 1];
    if (last && last.until + 1 === next.from && last.framesHeld === next.framesHeld)
      exposures[exposures.length - 1] = { ...last, until: next.until };
    else exposures.push(next);
  }
  return { ...move, exposures };
}
