import { groupWords } from '../words/groups';
import type { WorkStep } from './steps';

export type GroupName<Step extends WorkStep> = keyof (typeof groupWords)[Step] & string;

export type GroupOfStep = {
  readonly [Step in WorkStep]: { readonly step: Step; readonly group: GroupName<Step> };
}[WorkStep];

export interface GroupWords {
  readonly label: string;
  readonly help: string;
}

/** A step without groups does not compile; one may have none. */
const GROUPS: Readonly<Record<WorkStep, Readonly<Record<string, GroupWords>>>> = groupWords;

export const groupsOf = (step: WorkStep): readonly GroupWords[] => Object.values(GROUPS[step]);

export const wordsOfGroup = (step: WorkStep, name: string): GroupWords => GROUPS[step][name]!;
