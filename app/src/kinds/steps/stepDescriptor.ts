import type { LucideIcon } from 'lucide-react-native';

export type Edits = 'arcs' | 'poses' | 'timing' | 'pictures' | 'nothing';

/**
 * What the bench has to know of one step of the work. Its panel and its keys, which are made of features, stand
 * under the same name in `screens/steps`.
 */
export interface StepDescriptor<Name extends string = string> {
  readonly name: Name;
  readonly label: string;
  readonly icon: LucideIcon;
  readonly edits: Edits;
  /**
   * What stands under the field: what a press would do, or the numbers of the frame. A wide screen has both for `both`
   * and `hint-first`; a phone the numbers for the one and the hint for the other.
   */
  readonly line: 'hint' | 'numbers' | 'both' | 'hint-first';
}

export const describeStep = <const Name extends string>(
  descriptor: StepDescriptor<Name>,
): StepDescriptor<Name> => descriptor;
