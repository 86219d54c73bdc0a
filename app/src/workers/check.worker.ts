import type { Shot } from '@humble/core';
// By its own way in: the worker needs nothing else of the core.
import { checkShot, type FirstFrameNumber, type ShotFinding } from '@humble/core/checks';
import { expose } from 'comlink';

const checker = {
  check: (shot: Shot, firstNumber: FirstFrameNumber): readonly ShotFinding[] => checkShot(shot, firstNumber),
};
export type Checker = typeof checker;
expose(checker);
