import { slips, strideOf } from '../motion/stride';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import type { Check, CheckedTravel } from './check';
import { MOST_SLIP } from './thresholds';

/** Planted parts that slide on the whole. */
export const slipping: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ travel, said }) => {
    const stride = strideOf(travel);
    if (!stride) return [];
    const { mean } = slips(travel);
    const share = Math.abs(mean) / stride.advance;
    return share > MOST_SLIP
      ? [
          {
            from: firstFrame(travel.move),
            until: lastFrame(travel.move),
            sentence: `What is planted slips by ${said(Math.abs(mean))} a picture, ${Math.round(share * 100)} % of the stride.`,
            fix: null,
          },
        ]
      : [];
  },
};
