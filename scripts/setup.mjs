import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { fingerprint, isStamped, putStamp } from './fingerprint.mjs';
import { must, ROOT, run, seconds } from './run.mjs';

const CHROMIUM = '/usr/bin/chromium';
const MANIFESTS = [
  'package-lock.json',
  ...['', 'core/', 'cli/', 'server/', 'app/', 'e2e/', 'bench/'].map((w) => `${w}package.json`),
];

/** Installs the packages of the lockfile, unless that is what is installed. */
export async function installPackages() {
  const stamp = join(ROOT, 'node_modules/.humble-installed');
  const print = fingerprint(MANIFESTS);
  if (isStamped(stamp, print)) return;
  const since = Date.now();
  console.log('Installing packages (the first time takes some minutes: SQLite is built here) …');
  await must('Installing packages', 'npm', ['ci', '--no-audit', '--no-fund']);
  putStamp(stamp, print);
  console.log(`Packages installed in ${seconds(since)}.`);
}

/** Debian's Chromium, for the tests of the real interface. */
export async function installChromium() {
  if (existsSync(CHROMIUM)) return;
  console.log('Installing Chromium …');
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => [...asRoot, 'apt-get', ...args];
  for (const [command, ...args] of [
    apt('update'),
    apt('install', '-y', '--no-install-recommends', 'chromium'),
  ])
    if ((await run(command, args, { env: { DEBIAN_FRONTEND: 'noninteractive' } })) !== 0) {
      console.error(
        'Chromium cannot be installed here: install the Debian package “chromium” by hand and try again.',
      );
      process.exit(1);
    }
  // The tests take an eighth less time with it, and do without where it is not to be had.
  const [command, ...args] = apt('install', '-y', '--no-install-recommends', 'chromium-headless-shell');
  await run(command, args, { env: { DEBIAN_FRONTEND: 'noninteractive' } });
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  await installPackages();
  await installChromium();
}
