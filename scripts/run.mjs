import { spawn } from 'node:child_process';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the checkout with its output shown; resolves with its exit code. */
export function run(command, args, { env = {}, cwd = ROOT } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd, stdio: 'inherit', env: { ...process.env, ...env } });
    child.on('error', reject);
    child.on('exit', (code, signal) => resolve(signal ? 1 : (code ?? 1)));
  });
}

/** The same, but anything other than success ends the script with a sentence. */
export async function must(what, command, args, options) {
  const code = await run(command, args, options);
  if (code === 0) return;
  console.error(`${what} failed (exit code ${code}).`);
  process.exit(code);
}

export const seconds = (since) => `${((Date.now() - since) / 1000).toFixed(1)} s`;
