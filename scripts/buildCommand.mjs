import { mkdirSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from './run.mjs';

/** Native, and loaded from where it is installed. */
const EXTERNAL = ['sharp'];

/**
 * Puts the terminal's command into a folder of its own, in cli/dist: a part for each of its commands, so that each loads
 * what it needs. Another command that runs meanwhile keeps its own.
 * @param state of the sources; the folder is called by it
 */
export async function buildCommand(state) {
  const dist = join(ROOT, 'cli/dist');
  const half = join(dist, `half-${process.pid}`);
  await build({
    entryPoints: [join(ROOT, 'cli/src/main.ts')],
    outdir: half,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    minify: true,
    keepNames: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: EXTERNAL,
    // Some packages ask for Node's own parts in the old way.
    banner: {
      js: "import { createRequire as __createRequire } from 'node:module';const require = __createRequire(import.meta.url);",
    },
    logLevel: 'silent',
  }).catch((error) => {
    rmSync(half, { recursive: true, force: true });
    throw error;
  });
  const folder = join(dist, state);
  try {
    renameSync(half, folder);
  } catch {
    // Someone else was quicker.
    rmSync(half, { recursive: true, force: true });
  }
  mkdirSync(dist, { recursive: true });
  writeFileSync(join(dist, 'latest'), state);
  const outlived = readdirSync(dist).filter(
    (name) => name !== 'latest' && name !== state && !name.startsWith('half-'),
  );
  // The one before may still be running.
  for (const name of outlived.sort().slice(0, -1)) rmSync(join(dist, name), { recursive: true, force: true });
}
