import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

/** A command of the terminal takes at most so many times as long as Node takes to do nothing. */
export const START_RATIO_BUDGET = 6;
const RUNS = 7;

const ROOT = join(import.meta.dirname, '../..');
const COMMAND = join(ROOT, 'cli/bin/humble-pendulum.mjs');
const CORK = join(ROOT, 'demo/shots/dropped-cork.json');

const STARTED: Readonly<Record<string, readonly string[]>> = {
  solve: ['solve', '--distance', '120', '--most', '6'],
  sample: ['sample', CORK],
  check: ['check', CORK],
  'check-file': ['check-file', CORK],
  'convert --svg': ['convert', CORK, '--svg'],
};

function timeOf(args: readonly string[]): number {
  const began = performance.now();
  spawnSync(process.execPath, args);
  return performance.now() - began;
}

/** How long each command takes, and how many times as long as Node alone, measured by turns. */
export function starts(): readonly {
  readonly command: string;
  readonly ms: number;
  readonly times: number;
}[] {
  // The first one may have to build it.
  timeOf([COMMAND, '--version']);
  return Object.entries(STARTED).map(([command, args]) => {
    const turns = Array.from(
      { length: RUNS },
      () => [timeOf(['-e', '0']), timeOf([COMMAND, ...args])] as const,
    );
    const [bare, ms] = [0, 1].map((which) => Math.min(...turns.map((turn) => turn[which]!))) as [
      number,
      number,
    ];
    return { command, ms, times: ms / bare };
  });
}
