import type { WorkStep } from '../../kinds/steps';
import { arc } from './arc';
import { figure } from './figure';
import { sheet } from './sheet';
import { shoot } from './shoot';
import type { StepParts } from './stepParts';
import { timing } from './timing';

export type { KeyCommand, PanelProps } from './stepParts';

/** Panel and keys of each step. A step that is missing does not compile. */
export const STEP_PARTS: Readonly<Record<WorkStep, StepParts>> = { arc, figure, timing, sheet, shoot };
