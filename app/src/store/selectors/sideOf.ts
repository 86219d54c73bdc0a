import type { Apart } from '@humble/core/views';
import { takesWords as words } from '../../words/takes';

/** Less than this along the arc is neither ahead nor behind, field units. */
const BESIDE = 1e-6;

/** Which of two takes is further along on a frame, as a word: the current one is ahead of the other or behind it. */
export function sideOf({ ahead }: Apart): string {
  if (ahead > BESIDE) return words.ahead;
  return ahead < -BESIDE ? words.behind : words.apartFrom;
}
