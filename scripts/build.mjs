import { join } from 'node:path';
import { fingerprint, isStamped, putStamp } from './fingerprint.mjs';
import { must, ROOT, seconds } from './run.mjs';

const SOURCES = ['package-lock.json', 'core/src', 'app'];

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
  putStamp(stamp, print);
  console.log(`Application built in ${seconds(since)}.`);
}
