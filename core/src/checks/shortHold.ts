import { spansOf } from '../timing/placeInTime';
import type { Check, CheckedTravel, Finding } from './check';

/** A hold that is over before a second picture of it is seen. */
export const shortHold: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel: { move }, frameNumber }) =>
    spansOf(move).flatMap(({ isHold, frames, from }): Finding[] => {
      const least = 2 * move.framesHeld;
      if (!isHold || frames >= least) return [];
      return [
        {
          from: from.frame,
          until: from.frame + frames,
          sentence: `The hold on frame ${frameNumber(from.frame)} is too short to be seen as one.`,
          fix: {
            label: `Hold for ${least} frames`,
            edit: {
              name: 'setHold',
              args: { moveId: move.id, frame: from.frame, frames: least, takesLater: true },
            },
          },
        },
      ];
    }),
};
