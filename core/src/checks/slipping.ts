import { slips, strideOf } from '../motion/stride';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import type { Check, CheckedTravel } from './check';

/** Planted parts that slide on the whole. */
export const slipping: Check<CheckedTravel> = {
  gravity: 'mistake',
  find: ({ travel, said, shot }) => {
    const stride = strideOf(travel);
    if (!stride) return [];
    const { mean } = slips(travel);
    const share = Math.abs(mean) / stride.advance;
    return share > shot.thresholds.slipShare
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
