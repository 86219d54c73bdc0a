// What the server has to stand, in full: `npm run hardening`. A short version is among the unit tests.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sendBadRequests } from './badRequests';
import { sendBlockingShots } from './blocking';
import { killFirstStarts } from './firstStarts';
import { killDuringSaves } from './kills';
import { startServerProcess } from './serverProcess';

const KILLS = 500;
const SAVES_BETWEEN = 4;
const FIRST_STARTS = 100;
const BAD_REQUESTS = 20_000;
const SEED = 20261126;
const MAX_HEALTH_MS = 100;
const MAX_LINE_WEIGHT = 4096 + 600;

let failures = 0;
function verdict(what: string, isKept: boolean): void {
  if (!isKept) failures++;
  console.log(`${isKept ? 'kept  ' : 'BROKEN'}  ${what}`);
}

async function inFolder<Result>(work: (folder: string) => Promise<Result>): Promise<Result> {
  const folder = mkdtempSync(join(tmpdir(), 'humble-hardening-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

/** Work against a server whose rate limit does not get in the way. */
const withServer = <Result>(work: (address: string) => Promise<Result>): Promise<Result> =>
  inFolder(async (folder) => {
    const server = startServerProcess(folder, { HUMBLE_REQUESTS_PER_MINUTE: '1000000' });
    try {
      return await work(await server.address);
    } finally {
      await server.stop('SIGINT');
    }
  });

const minutes = (since: number): string => `${((Date.now() - since) / 60_000).toFixed(1)} min`;

async function main(): Promise<void> {
  let since = Date.now();
  console.log('Documents that once held the server up');
  const blocking = await withServer((address) => sendBlockingShots(address));
  console.table(
    blocking.map(({ name, status, took, slowestHealth, listed }) => ({
      document: name,
      status,
      'created and saved in, ms': Math.round(took),
      'slowest health, ms': Math.round(slowestHealth),
      'in the list, bytes': listed,
    })),
  );
  verdict(
    'all are taken',
    blocking.every(({ status }) => status === 200),
  );
  verdict(
    `others are answered within ${MAX_HEALTH_MS} ms`,
    blocking.every((one) => one.slowestHealth <= MAX_HEALTH_MS),
  );
  verdict(
    'their cards are light',
    blocking.every(({ listed }) => listed > 2 && listed <= MAX_LINE_WEIGHT),
  );

  since = Date.now();
  const bad = await withServer((address) => sendBadRequests(address, BAD_REQUESTS, SEED));
  console.log(`\n${bad.sent} bad requests (${minutes(since)}):`, JSON.stringify(bad.statuses));
  for (const what of bad.wrong.slice(0, 20)) console.log(`  ${what}`);
  verdict('none got a server error or an error without details', bad.wrong.length === 0);

  since = Date.now();
  const first = await killFirstStarts(FIRST_STARTS);
  console.log(
    `\n${first.starts} first starts killed (${minutes(since)}), ${first.useless.length} folders useless`,
  );
  for (const what of first.useless.slice(0, 5)) console.log(`  ${what}`);
  verdict('every folder can be started again', first.useless.length === 0);

  since = Date.now();
  const killed = await inFolder((folder) => killDuringSaves(folder, KILLS, SAVES_BETWEEN));
  console.log(
    `\n${killed.kills} kills during ${killed.acknowledged} saves (${minutes(since)}), ${killed.lost} lost, ${killed.failed} refused`,
  );
  verdict('no acknowledged save is lost', killed.lost === 0 && killed.failed === 0);
  process.exitCode = failures === 0 ? 0 : 1;
}

await main();
