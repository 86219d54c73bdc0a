import { frameNumber, type Shot } from '@humble/core';
import type { FirstFrameNumber, ShotFinding } from '@humble/core/checks';
import { type Remote, wrap } from 'comlink';
import type { Checker } from './check.worker';

let checker: Remote<Checker> | null = null;

/** What the checks find in a shot, worked out in a worker, so that the hand is never held up. */
export function checkAside(shot: Shot): Promise<readonly ShotFinding[]> {
  checker ??= wrap<Checker>(new Worker(new URL('./check.worker.ts', import.meta.url)));
  return checker.check(shot, frameNumber(1) as FirstFrameNumber);
}
