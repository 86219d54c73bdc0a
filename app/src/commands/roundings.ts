import type { RoundedMark } from '@humble/core';
import { frameNumber } from '../store/frameNumbers';
import { fixed } from '../ui/numbers';
import { passageWords as words } from '../words/passages';

/** So many are told one by one. */
const MAX_TOLD = 4;

/** Which marks did not come to lie on whole frames by themselves, and by how much; null where all did. */
export function roundingsText(marks: readonly RoundedMark[]): string | null {
  if (marks.length === 0) return null;
  const told = marks
    .slice(0, MAX_TOLD)
    .map(({ frame, by }) => words.roundedBy(fixed(frameNumber(frame) - by, 2), frameNumber(frame)));
  const further = marks.length - told.length;
  return words.rounded([...told, ...(further > 0 ? [words.andMore(further)] : [])].join(', '));
}
