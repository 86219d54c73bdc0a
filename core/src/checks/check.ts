import type { Edit } from '../edits/edits';
import type { Arc, Move, Shot } from '../model/schema';
import type { Travel } from '../motion/evaluate';
import type { Step } from './steps';

interface Reader {
  readonly frameNumber: (frame: number) => number;
}

export interface CheckedMove extends Reader {
  readonly move: Move;
  readonly arc: Pick<Arc, 'closed'>;
  readonly shot: Pick<Shot, 'lengthFrames'>;
}

export interface CheckedTravel extends Reader {
  readonly shot: Shot;
  readonly travel: Travel;
  readonly steps: readonly Step[];
  /** A length as it is said: in millimetres where the field has a scale. @param length field units */
  readonly said: (length: number) => string;
}

/** How grave a finding is: it will be seen as a mistake, or it deserves a look. */
export type Gravity = 'mistake' | 'look';

export interface Finding {
  readonly from: number;
  readonly until: number;
  readonly sentence: string;
  /** What would mend it, as one undo step; null when only the animator can tell. */
  readonly fix: { readonly label: string; readonly edit: Edit } | null;
}

export interface Check<Checked> {
  readonly gravity: Gravity;
  /** @returns nothing when the rule is kept; else its findings in order of time */
  readonly find: (checked: Checked) => readonly Finding[];
}
