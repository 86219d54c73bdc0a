import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';
import { NO_STEP } from './thresholds';

/** Pictures that follow each other in one place, where nothing is held. */
export const twins: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { arcLength }, steps, frameNumber }) => {
    const none = NO_STEP * arcLength;
    const still = steps.filter((step) => !step.isHeld && step.length <= none && step.straight <= none);
    return runsOf(still).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `Frames ${frameNumber(from)} to ${frameNumber(until)} show the figure in one place, and nothing is held there.`,
      fix: null,
    }));
  },
};
