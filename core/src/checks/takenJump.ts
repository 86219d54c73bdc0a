import type { Check, CheckedTravel, Finding } from './check';
import { takenSteps } from './takenSteps';
import { leastChange, leastByHand } from './thresholds';

/** A step that came out much longer or shorter than it was planned. What did not move at all is told by `takenTwice`. */
export const takenJump: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ shot, travel, said, frameNumber }) => {
    const least = leastChange(shot);
    return takenSteps(shot, travel.move.id)
      .filter(({ length, planned }) => {
        const isTwice = length < leastByHand(shot) && planned >= 2 * leastByHand(shot);
        const off = Math.abs(length - planned);
        return !isTwice && off > least && off > shot.thresholds.changeShare * planned;
      })
      .map(({ from, frame, length, planned }): Finding => ({
        from,
        until: frame,
        sentence: `From frame ${frameNumber(from)} to ${frameNumber(frame)} the figure went ${said(length)}: ${said(planned)} was planned.`,
        fix: null,
      }));
  },
};
