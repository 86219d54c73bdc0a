import { arrivalShown, endsPastShot } from '../exposure/exposures';
import { lastFrame } from '../timing/placeInTime';
import type { Check, CheckedMove } from './check';
import { exposeFrame } from './exposeFrame';

/** The last mark has to be on a frame that begins an exposure, or the figure is seen to arrive late or never. */
export const unseenArrival: Check<CheckedMove> = {
  gravity: 'mistake',
  find: ({ move, shot, frameNumber }) => {
    const last = lastFrame(move);
    const shown = endsPastShot(move, shot) ? last : arrivalShown(move, shot);
    if (shown === last) return [];
    const sentence =
      shown === null
        ? `Frame ${frameNumber(last)} falls between exposures and the shot ends: the arrival is never seen.`
        : `Frame ${frameNumber(last)} falls between exposures: the arrival is seen on frame ${frameNumber(shown)}.`;
    return [{ from: last, until: last, sentence, fix: exposeFrame(move, last, frameNumber) }];
  },
};
