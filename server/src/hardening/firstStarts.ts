import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DATABASE_FILE } from '../database/setAside';
import { startServerProcess } from './serverProcess';

export interface FirstStartsReport {
  readonly starts: number;
  /** Folders in which the server could not be started after that, with what it said. */
  readonly useless: readonly string[];
}

const MAX_KILL_MS = 150;
const POLL_MS = 2;

/** Kills first starts, from 0 to 150 ms after they have begun with their database, and starts each again. */
export async function killFirstStarts(starts: number): Promise<FirstStartsReport> {
  const useless: string[] = [];
  for (let i = 0; i < starts; i++) {
    const folder = mkdtempSync(join(tmpdir(), 'humble-first-'));
    const first = startServerProcess(folder);
    await new Promise<void>((resolve) => {
      const look = setInterval(() => {
        if (!existsSync(join(folder, DATABASE_FILE)) && first.isRunning()) return;
        clearInterval(look);
        setTimeout(resolve, (i / Math.max(1, starts - 1)) * MAX_KILL_MS);
      }, POLL_MS);
    });
    await first.stop('SIGKILL');
    const second = startServerProcess(folder);
    try {
      const answer = await fetch(`${await second.address}/api/shots`);
      if (answer.status !== 200) useless.push(`the list answers ${answer.status}`);
    } catch (error) {
      useless.push((error as Error).message);
    }
    await second.stop('SIGKILL');
    rmSync(folder, { recursive: true });
  }
  return { starts, useless };
}
