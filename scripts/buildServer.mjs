import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fingerprint, isStamped, putStamp } from './fingerprint.mjs';
import { ROOT } from './run.mjs';

const SERVER = join(ROOT, 'server/src');
const SOURCES = ['package-lock.json', 'core/src', 'server/src', 'scripts/buildServer.mjs'];

const dependenciesOf = (workspace) =>
  Object.keys(JSON.parse(readFileSync(join(ROOT, workspace, 'package.json'), 'utf8')).dependencies);

/**
 * Puts the server and each of its threads into one file, in server/dist, unless that was done for these sources.
 * It takes a second, and saves each start of a server the reading of some hundred TypeScript files. Packages are
 * left where they are installed.
 */
export default async function buildServer() {
  const outdir = join(ROOT, 'server/dist');
  const stamp = join(outdir, '.built-from');
  const print = fingerprint(SOURCES);
  if (isStamped(stamp, print)) return;
  // On a fresh machine it is not there yet when this file is loaded.
  const { build } = await import('esbuild');
  const threads = readdirSync(join(SERVER, 'threads')).filter((name) => name.endsWith('.thread.ts'));
  await build({
    entryPoints: ['main.ts', 'backup/command.ts', ...threads.map((name) => `threads/${name}`)].map((name) =>
      join(SERVER, name),
    ),
    outbase: SERVER,
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: [...dependenciesOf('server'), ...dependenciesOf('core')].filter(
      (name) => name !== '@humble/core',
    ),
    sourcemap: 'linked',
    logLevel: 'warning',
  });
  putStamp(stamp, print);
}
