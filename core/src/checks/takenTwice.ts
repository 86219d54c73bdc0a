import type { Check, CheckedTravel, Finding } from './check';
import { takenSteps } from './takenSteps';
import { leastByHand } from './thresholds';

/** Two pictures on which a figure stood in one place, though it was to be moved between them. */
export const takenTwice: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ shot, travel, said, frameNumber }) => {
    const least = leastByHand(shot);
    return takenSteps(shot, travel.move.id)
      .filter(({ length, planned }) => length < least && planned >= 2 * least)
      .map(({ from, frame, planned }): Finding => ({
        from,
        until: frame,
        sentence: `The pictures of frames ${frameNumber(from)} and ${frameNumber(frame)} show the figure in one place: a step of ${said(planned)} was planned.`,
        fix: null,
      }));
  },
};
