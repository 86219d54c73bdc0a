import type { Shot } from '@humble/core';
// By its own way in: the worker needs nothing else of the core.
import { checkShot, countFramesFrom, type FirstFrameNumber, type ShotFinding } from '@humble/core/checks';
import { expose } from 'comlink';

const checker = {
  /** @param firstNumber how the page counts frames: sentences name them */
  check: (shot: Shot, firstNumber: FirstFrameNumber): readonly ShotFinding[] => {
    countFramesFrom(firstNumber);
    return checkShot(shot);
  },
};
export type Checker = typeof checker;
expose(checker);
