import type { Shot } from '@humble/core';
import { checkShot, type FirstFrameNumber, type ShotFinding } from '@humble/core/checks';

/**
 * What the checks find in a shot. On the web that happens in a worker, so that the hand is never held up.
 * @param firstNumber from what the user counts frames
 */
export const checkAside = (shot: Shot, firstNumber: FirstFrameNumber): Promise<readonly ShotFinding[]> =>
  Promise.resolve(checkShot(shot, firstNumber));
