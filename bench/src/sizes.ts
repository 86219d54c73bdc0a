import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

const DIST = join(import.meta.dirname, '../../app/dist');
const SCRIPTS = join(DIST, '_expo/static/js/web');

/** A bare Expo Router page of the same versions, built on this machine: what it sends, gzip, bytes. */
export const BARE_PAGE = 295_000;

export interface Sizes {
  /** What the page of the list loads before it stands, gzip, bytes. */
  readonly firstScreen: number;
  /** What the workbench loads beyond that until its first picture. */
  readonly workbench: number;
  readonly later: Readonly<Record<string, number>>;
}

/** Sizes of the built application; null where it is not built. */
export function sizes(): Sizes | null {
  if (!existsSync(join(DIST, 'index.html'))) return null;
  const page = readFileSync(join(DIST, 'index.html'), 'utf8');
  const all = readdirSync(SCRIPTS).filter((name) => name.endsWith('.js'));
  const packed = (name: string): number => gzipSync(readFileSync(join(SCRIPTS, name)), { level: 9 }).length;
  const first = all.filter((name) => page.includes(name));
  const workbench = all.filter((name) => name.startsWith('ShotScreen'));
  const sum = (names: readonly string[]): number => names.reduce((bytes, name) => bytes + packed(name), 0);
  return {
    firstScreen: sum(first),
    workbench: sum(workbench),
    later: Object.fromEntries(
      all
        .filter((name) => !first.includes(name) && !workbench.includes(name))
        .map((name) => [name.replace(/-[0-9a-f]{32}\.js$/, ''), packed(name)]),
    ),
  };
}
