import { endsPastShot } from '../exposure/exposures';
import { lastFrame } from '../timing/placeInTime';
import type { Check, CheckedTravel, Finding } from './check';
import { leastChange, NO_STEP } from './thresholds';

/** Round a closed arc, a loop whose last step does not lead to its first picture, or not as fast as it goes on. */
export const openCycle: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ travel: { move, arc, arcLength, arcDistance }, steps, shot, said }) => {
    if (!arc.closed || !endsPastShot(move, shot) || steps.length < 3) return [];
    const last = lastFrame(move);
    const [first, final] = [move.marks[0]!, move.marks[move.marks.length - 1]!];
    const laps = final.fraction - first.fraction;
    const gap = Math.abs(laps - Math.round(laps)) * arcLength;
    const found = (sentence: string): Finding[] => [{ from: last - 1, until: last - 1, sentence, fix: null }];
    if (gap > NO_STEP * arcLength) return found(`The loop ends ${said(gap)} away from where it begins.`);
    const [one, two] = [steps[0]!, steps[1]!];
    // What lies past the shot is no picture: the step there leads back to the first one.
    const ending = steps[steps.length - 1]!;
    const inside = steps[steps.length - 2]!;
    const closing = Math.abs(final.fraction * arcLength - arcDistance[ending.frame - 1]!);
    const usual = Math.max(Math.abs(two.length - one.length), Math.abs(ending.length - inside.length));
    const change = Math.abs(one.length - closing);
    return change > usual + leastChange(shot)
      ? found(
          `The loop changes its speed where it closes: a step of ${said(closing)}, then one of ${said(one.length)}.`,
        )
      : [];
  },
};
