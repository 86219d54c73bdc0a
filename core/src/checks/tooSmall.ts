import type { Check, CheckedTravel, Finding } from './check';
import { runsOf } from './steps';
import { leastByHand, NO_STEP } from './thresholds';

/** Steps that are shorter than a hand can place. */
export const tooSmall: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { arcLength }, steps, shot, said, frameNumber }) => {
    const least = leastByHand(shot);
    const small = steps.filter(({ length }) => length > NO_STEP * arcLength && length < least);
    return runsOf(small).map(({ from, until }): Finding => ({
      from,
      until,
      sentence: `From frame ${frameNumber(from)} to ${frameNumber(until)} the steps are below ${said(least)}: too small to place by hand.`,
      fix: null,
    }));
  },
};
