import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import sqlite3 from 'sqlite3';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '../..');

/** The real server with a database of its own, which a test may stop, kill and start again. */
export interface TestServer {
  /** Where its data lies. */
  readonly folder: string;
  readonly address: string;
  readonly start: () => Promise<void>;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
  /** Tears the document of a shot, as a bad disk would. */
  readonly damage: (shotId: string) => Promise<void>;
  readonly remove: () => Promise<void>;
}

async function freePort(): Promise<number> {
  const probe = createServer();
  probe.listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as { port: number };
  probe.close();
  await once(probe, 'close');
  return port;
}

/**
 * @param args of the server; without any it has a copy of the demo film's data, which `demoData.ts` made
 * @param more of the environment
 */
export async function testServer(
  args: readonly string[] = [],
  more: Readonly<Record<string, string>> = {},
): Promise<TestServer> {
  const folder = mkdtempSync(join(tmpdir(), 'humble-e2e-'));
  const demo = process.env.HUMBLE_E2E_DEMO_DATA;
  if (args.length === 0 && demo) cpSync(demo, folder, { recursive: true });
  const port = await freePort();
  let child: ChildProcess | null = null;

  const start = async (): Promise<void> => {
    child = spawn(process.execPath, ['--enable-source-maps', 'server/dist/main.mjs', ...args], {
      cwd: ROOT,
      env: { ...process.env, PORT: String(port), HUMBLE_DATA: folder, ...more },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    await once(child.stdout!, 'data');
  };
  const stop = async (signal: NodeJS.Signals = 'SIGTERM'): Promise<void> => {
    if (!child) return;
    const ended = once(child, 'exit');
    child.kill(signal);
    await ended;
    child = null;
  };
  const remove = async (): Promise<void> => {
    await stop('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  };
  const damage = (shotId: string): Promise<void> =>
    new Promise((resolve, reject) => {
      const database = new sqlite3.Database(join(folder, 'humble-pendulum.sqlite'));
      database.run(
        'UPDATE shots SET document = substr(document, 1, 400) WHERE id = ?',
        [shotId],
        (error: Error | null) => database.close(() => (error ? reject(error) : resolve())),
      );
    });
  return { folder, address: `http://127.0.0.1:${port}`, start, stop, damage, remove };
}
