import type { Shot } from '@humble/core';
import type { FirstFrameNumber, ShotFinding } from '@humble/core/checks';
import { type Remote, wrap } from 'comlink';
import type { Checker } from './check.worker';

let checker: Remote<Checker> | null = null;

export function checkAside(shot: Shot, firstNumber: FirstFrameNumber): Promise<readonly ShotFinding[]> {
  checker ??= wrap<Checker>(new Worker(new URL('./check.worker.ts', import.meta.url)));
  return checker.check(shot, firstNumber);
}
