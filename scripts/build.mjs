import { copyFileSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { fingerprint, isStamped, putStamp } from './fingerprint.mjs';
import { joinSharedChunk } from './joinChunks.mjs';
import { must, ROOT, seconds } from './run.mjs';

const SOURCES = [
  'docs/guide',
  'scripts/readGuide.mjs',
  'package-lock.json',
  'core/src',
  'app',
  'scripts/build.mjs',
  'scripts/buildServiceWorker.mjs',
  'scripts/joinChunks.mjs',
];

/** The pictures that a browser shows before it installs the application: those of the README. */
function copyScreenshots(folder) {
  mkdirSync(join(folder, 'screenshots'), { recursive: true });
  for (const name of ['phone-timing.png', 'wide-timing.png'])
    copyFileSync(join(ROOT, 'docs/screenshots', name), join(folder, 'screenshots', name));
}

/** The guide, so that the application shows it without a network: its chapters as data, and their pictures. */
async function copyGuide(folder) {
  // On a fresh machine its package is not there yet when this file is loaded.
  const { GUIDE, readGuide } = await import('./readGuide.mjs');
  const pages = join(folder, 'guide-pages');
  mkdirSync(pages, { recursive: true });
  writeFileSync(join(pages, 'chapters.json'), JSON.stringify(readGuide()));
  for (const name of readdirSync(join(GUIDE, 'pictures')))
    copyFileSync(join(GUIDE, 'pictures', name), join(pages, name));
}

/** Packs scripts, styles and fonts once, so that the server need not do it for every visitor. */
function packLargeFiles() {
  const folder = join(ROOT, 'app/dist');
  for (const name of readdirSync(folder, { recursive: true }))
    if (/\.(js|css|ttf)$/.test(name))
      writeFileSync(join(folder, `${name}.gz`), gzipSync(readFileSync(join(folder, name)), { level: 9 }));
}

/** Exports the application for the web, unless that was done for these sources. */
export async function buildApplication() {
  const stamp = join(ROOT, 'app/dist/.built-from');
  const print = fingerprint(SOURCES);
  if (isStamped(stamp, print)) return;
  const since = Date.now();
  console.log('Building the application …');
  await must('Building the application', 'npm', ['run', 'build', '--workspace', 'app'], {
    env: { CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
  });
  joinSharedChunk(join(ROOT, 'app/dist'));
  copyScreenshots(join(ROOT, 'app/dist'));
  await copyGuide(join(ROOT, 'app/dist'));
  // On a fresh machine its package is not there yet when this file is loaded.
  const { buildServiceWorker } = await import('./buildServiceWorker.mjs');
  await buildServiceWorker(join(ROOT, 'app/dist'));
  packLargeFiles();
  putStamp(stamp, print);
  console.log(`Application built in ${seconds(since)}.`);
}
