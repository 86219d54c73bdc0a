import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

const SKIPPED = new Set(['node_modules', 'dist', '.expo']);

function* filesUnder(path) {
  if (!statSync(path).isDirectory()) return yield path;
  for (const name of readdirSync(path).sort()) if (!SKIPPED.has(name)) yield* filesUnder(join(path, name));
}

/** One hash over the contents of files and folders of the checkout. */
export function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const path of paths)
    for (const file of filesUnder(join(ROOT, path))) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

/** Whether a stamp file says that work was done for this fingerprint. */
export const isStamped = (stamp, print) => existsSync(stamp) && readFileSync(stamp, 'utf8') === print;

export const putStamp = (stamp, print) => writeFileSync(stamp, print);
