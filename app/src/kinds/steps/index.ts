import { arc } from './arc';
import { figure } from './figure';
import { sheet } from './sheet';
import { shoot } from './shoot';
import type { StepDescriptor } from './stepDescriptor';
import { timing } from './timing';

export type { Edits, StepDescriptor } from './stepDescriptor';

const descriptors = [arc, figure, timing, sheet, shoot] as const;

export type WorkStep = (typeof descriptors)[number]['name'];

/** The table of steps, in the order of the work. */
export const STEPS: readonly StepDescriptor<WorkStep>[] = descriptors;

export const stepDescriptor = (step: WorkStep): StepDescriptor<WorkStep> =>
  STEPS.find(({ name }) => name === step)!;
