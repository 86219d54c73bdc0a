import type { Check, CheckedMove, Finding } from './check';
import { pastTheEnd } from './pastTheEnd';
import { unseenArrival } from './unseenArrival';
import { unseenMark } from './unseenMark';

export type { CheckedMove, Finding } from './check';

/** The table of checks. */
export const CHECKS = { pastTheEnd, unseenArrival, unseenMark } satisfies Readonly<Record<string, Check>>;

export type CheckName = keyof typeof CHECKS;

/** What one check finds in a move. */
export const findingsOf = (name: CheckName, checked: CheckedMove): readonly Finding[] =>
  CHECKS[name].find(checked);
