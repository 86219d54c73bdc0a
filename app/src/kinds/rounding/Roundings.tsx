import { frameNumber, type RoundedMark } from '@humble/core';
import { fixed } from '../../ui/numbers';
import { Words } from '../../ui/Words';
import { passageWords as words } from '../../words/passages';

/** So many are told one by one. */
const MOST_TOLD = 4;

/** Which marks did not come to lie on whole frames by themselves, and by how much. */
export function Roundings({ marks }: { readonly marks: readonly RoundedMark[] }) {
  if (marks.length === 0) return null;
  const told = marks
    .slice(0, MOST_TOLD)
    .map(({ frame, by }) => words.roundedBy(fixed(frameNumber(frame) - by, 2), frameNumber(frame)));
  const further = marks.length - told.length;
  return (
    <Words tone="soft" testID="roundings">
      {words.rounded([...told, ...(further > 0 ? [words.andMore(further)] : [])].join(', '))}
    </Words>
  );
}
