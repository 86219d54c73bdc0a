#!/usr/bin/env node
// Runs what was built from the TypeScript sources, and builds it anew when one of them has changed.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const ROOT = fileURLToPath(new URL('../..', import.meta.url));
process.env.HUMBLE_PENDULUM_ROOT = ROOT;

/** When the last of all files under some folders was changed, and how many there are: reading them would take too long. */
function stateOf(folders) {
  let [latest, count] = [0, 0];
  const look = (path) => {
    for (const entry of readdirSync(path, { withFileTypes: true })) {
      const inside = join(path, entry.name);
      if (entry.isDirectory()) look(inside);
      else {
        latest = Math.max(latest, statSync(inside).mtimeMs);
        count++;
      }
    }
  };
  folders.forEach(look);
  return `${Math.round(latest)}-${count}`;
}

const state = stateOf(['core/src', 'cli/src'].map((folder) => join(ROOT, folder)));
const latest = join(ROOT, 'cli/dist/latest');
const known = existsSync(latest) ? readFileSync(latest, 'utf8') : '';
const main = join(ROOT, 'cli/dist', state, 'main.mjs');
let address = pathToFileURL(main);
if (known !== state || !existsSync(main)) {
  try {
    const { buildCommand } = await import('../../scripts/buildCommand.mjs');
    await buildCommand(state);
  } catch {
    // Where nothing can be written the sources run as they are: slower, and no worse.
    (await import('tsx/esm/api')).register();
    address = new URL('../src/main.ts', import.meta.url);
  }
}
const { main: run } = await import(address.href);
process.exitCode = await run(process.argv.slice(2));
