import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** The checkout's server folder, for a process started in the checkout or in the server's own folder. */
const SERVER = process.cwd().endsWith('server') ? process.cwd() : join(process.cwd(), 'server');

/** What a process holds of the machine. */
export interface Holding {
  readonly megabytes: number;
  readonly openFiles: number;
}

/** What a server holds now, by the system's own count; zeros where there is no /proc. */
export function holdingOf({ child: { pid } }: ServerProcess): Holding {
  if (!existsSync(`/proc/${pid}`)) return { megabytes: 0, openFiles: 0 };
  const [, kilobytes] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? [];
  return {
    megabytes: Math.round(Number(kilobytes ?? 0) / 1024),
    openFiles: readdirSync(`/proc/${pid}/fd`).length,
  };
}

export interface ServerProcess {
  readonly child: ChildProcess;
  /** Its address, once it says that it is there. Rejects with what it said when it ends before. */
  readonly address: Promise<string>;
  /** Sends a signal and resolves with the exit code; null when the signal ended it. */
  readonly stop: (signal: NodeJS.Signals) => Promise<number | null>;
  readonly isRunning: () => boolean;
}

/**
 * Starts the server on a folder, on a free port unless the environment says otherwise.
 * @param uid the user it runs as; the present one without it
 */
export function startServerProcess(folder: string, env: NodeJS.ProcessEnv = {}, uid?: number): ServerProcess {
  const child = spawn(process.execPath, ['--enable-source-maps', join(SERVER, 'dist/main.mjs')], {
    cwd: SERVER,
    env: { ...process.env, PORT: '0', HUMBLE_LOG: 'silent', HUMBLE_DATA: folder, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    uid,
  });
  const isRunning = (): boolean => child.exitCode === null && child.signalCode === null;
  let said = '';
  child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
  const address = new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/\S+/.exec(chunk.toString())?.[0];
      if (found) resolve(found);
    });
    child.on('close', () => reject(new Error(said.trim())));
  });
  // Whoever kills the server does not wait for its address.
  address.catch(() => undefined);
  return {
    child,
    address,
    isRunning,
    stop: async (signal) => {
      if (!isRunning()) return child.exitCode;
      const ended = once(child, 'exit');
      child.kill(signal);
      const [code] = (await ended) as [number | null];
      return code;
    },
  };
}

/** An answer that takes longer counts as none: whatever waits for it fails. Milliseconds. */
const HANGS_MS = 60_000;

export const sendJson = (address: string, method: string, body: unknown): Promise<Response> =>
  fetch(address, {
    method,
    signal: AbortSignal.timeout(HANGS_MS),
    headers: { 'content-type': 'application/json' },
    body: typeof body === 'string' ? body : JSON.stringify(body),
  });
