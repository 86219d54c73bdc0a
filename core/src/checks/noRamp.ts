import { isCamera } from '../motion/cameraView';
import type { Check, CheckedTravel, Finding } from './check';
import { NO_STEP } from './thresholds';

/** A first or last step of a camera that is longer than this share of the longest is a start or a stop without a ramp. */
const RAMPED_SHARE = 0.5;

/** A camera that starts or stops at once. */
export const noRamp: Check<CheckedTravel> = {
  gravity: 'look',
  find: ({ travel, steps, frameNumber }) => {
    if (!isCamera(travel.figure)) return [];
    const none = NO_STEP * travel.arcLength;
    const longest = steps.reduce((most, { length }) => Math.max(most, length), 0);
    if (longest <= none) return [];
    const isMoving = (i: number): boolean => (steps[i]?.length ?? 0) > none;
    return steps.flatMap(({ from, frame, length }, i): Finding[] => {
      if (!isMoving(i) || length <= RAMPED_SHARE * longest) return [];
      const [starts, stops] = [!isMoving(i - 1), !isMoving(i + 1)];
      if (!starts && !stops) return [];
      return [
        {
          from,
          until: frame,
          sentence: starts
            ? `The camera starts on frame ${frameNumber(frame)} at once, without a ramp.`
            : `The camera stops on frame ${frameNumber(frame)} at once, without a ramp.`,
          fix: null,
        },
      ];
    });
  },
};
