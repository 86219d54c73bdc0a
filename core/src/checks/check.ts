import type { Edit } from '../edits/edits';
import type { Arc, Move, Shot } from '../model/schema';

/** What a check looks at: one move, on its arc, in its shot. */
export interface CheckedMove {
  readonly move: Move;
  readonly arc: Pick<Arc, 'closed'>;
  readonly shot: Pick<Shot, 'lengthFrames'>;
}

/** Something that an animator may not have meant. */
export interface Finding {
  /** The frames it is about. */
  readonly from: number;
  readonly until: number;
  readonly sentence: string;
  /** What would mend it, as one undo step; null when only the animator can tell. */
  readonly fix: { readonly label: string; readonly edit: Edit } | null;
}

/** A rule about moves. A new one is a file with its rule, its sentence and its fix, and an entry in the table. */
export interface Check {
  /** @returns nothing when the rule is kept; else its findings in order of time */
  readonly find: (checked: CheckedMove) => readonly Finding[];
}
