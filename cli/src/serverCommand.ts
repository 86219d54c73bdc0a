import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { type Command, defineCommand } from './command';
import { UsageError } from './usageError';

type Options = Command['options'];

/** The exit code of a program that could not do what it was asked for. */
const FAILED = 1;

/** Where the application lies; the program that starts this one says it. */
const root = (): string => {
  const folder = process.env.HUMBLE_PENDULUM_ROOT;
  if (!folder) throw new UsageError('This command is started with npx humble-pendulum.');
  return folder;
};

/** Builds the server where that has not been done, and gives the file of its program for backups. */
async function program(): Promise<string> {
  const script = pathToFileURL(join(root(), 'scripts/buildServer.mjs')).href;
  const { default: buildServer } = (await import(script)) as { readonly default: () => Promise<void> };
  await buildServer();
  return join(root(), 'server/dist/backup/command.mjs');
}

interface Outcome {
  readonly text: string;
  readonly error: string;
  readonly code: number;
}

/** Runs a program to its end. @returns its exit code and what it said */
function ran(file: string, args: readonly string[]): Promise<Outcome> {
  const child = spawn(process.execPath, [file, ...args], {
    env: { HUMBLE_DATA: join(root(), 'data'), ...process.env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let [text, error] = ['', ''];
  child.stdout.on('data', (chunk: Buffer) => (text += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (error += chunk.toString()));
  return new Promise((resolve, reject) => {
    child.on('error', reject);
    child.on('close', (code) => resolve({ text, error, code: code ?? FAILED }));
  });
}

/**
 * A command that works on the server's data. It is a program of the server, which alone knows how they are kept; this hands
 * over what was typed.
 */
export const serverCommand = (name: string, options: Options): Command =>
  defineCommand({
    options,
    writesFiles: true,
    run: async (paths, values) => {
      const typed = Object.entries(values as Readonly<Record<string, string | boolean | undefined>>);
      const flags = typed.flatMap(([key, value]) =>
        value === undefined || value === false ? [] : value === true ? [`--${key}`] : [`--${key}`, value],
      );
      const { text, error, code } = await ran(await program(), [name, ...flags, '--', ...paths]);
      if (code === FAILED) throw new UsageError(error.trim() || text.trim());
      return { text, code };
    },
  });
