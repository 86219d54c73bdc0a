import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readShotFile } from '@humble/core/files';
import { main } from './main';

/** For tests: the command, and the demo film that it is tried on. */

export const COMMAND = join(__dirname, '../bin/humble-pendulum.mjs');
export const DEMO = join(__dirname, '../../demo');
export const CORK = join(DEMO, 'shots/dropped-cork.json');

/** What the command says and how it ends, without a process of its own. */
export async function run(...args: string[]) {
  const written = { stdout: '', stderr: '' };
  const spies = (['stdout', 'stderr'] as const).map((name) =>
    jest.spyOn(process[name], 'write').mockImplementation(((
      text: string | Uint8Array,
      done?: (error?: Error | null) => void,
    ) => {
      written[name] += typeof text === 'string' ? text : Buffer.from(text).toString('latin1');
      done?.();
      return true;
    }) as typeof process.stdout.write),
  );
  try {
    return { status: await main(args), ...written };
  } finally {
    for (const spy of spies) spy.mockRestore();
  }
}

export const cork = readShotFile(readFileSync(CORK, 'utf8'));
