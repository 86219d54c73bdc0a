// What the server has to stand, in full: `npm run hardening`. A short version is among the unit tests.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sendBadRequests } from './badRequests';
import { sendBlockingShots } from './blocking';
import { killFirstStarts } from './firstStarts';
import { saveWithWrongClocks } from './clockSetBack';
import { killDuringSaves } from './kills';
import { killDuringBackups } from './killsOfBackups';
import { historyOfManyEdits } from './manyEdits';
import { runMutatedDocuments } from './mutatedDocuments';
import { type Database, openDatabase } from '../database/openDatabase';
import { startThreads, type Threads } from '../threads/threads';
import { saveTogether, staleSaves } from './load';
import { holdingOf, type ServerProcess, startServerProcess } from './serverProcess';
import { editInTurns } from './turns';

const KILLS = 500;
const SAVES_BETWEEN = 4;
const FIRST_STARTS = 100;
const BAD_REQUESTS = 20_000;
const TURNS = 1000;
/** What a server may hold more of after a thousand edits. */
const MAX_GROWTH_MB = 100;
const MAX_MORE_FILES = 10;
const BACKUP_KILLS = 200;
const MUTATED = 2000;
const MANY_EDITS = 1000;
const MAX_MANY_BYTES = 10 * 1024 * 1024;
const MAX_MUTATED_MS = 5000;
const SEED = 20261126;
const MAX_HEALTH_MS = 100;
const MAX_LINE_WEIGHT = 4096 + 600;

const HERE = dirname(fileURLToPath(import.meta.url));
const DEMO = join(HERE, '../../../demo');

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
const withServer = <Result>(
  work: (address: string, server: ServerProcess) => Promise<Result>,
): Promise<Result> =>
  inFolder(async (folder) => {
    const server = startServerProcess(folder, { HUMBLE_REQUESTS_PER_MINUTE: '1000000' });
    try {
      return await work(await server.address, server);
    } finally {
      await server.stop('SIGINT');
    }
  });

/** Work on a database in this process. */
const withDatabase = <Result>(
  work: (database: Database, threads: Threads) => Promise<Result>,
): Promise<Result> =>
  inFolder(async (folder) => {
    const database = await openDatabase(folder);
    const threads = startThreads(join(HERE, '../threads'));
    try {
      return await work(database, threads);
    } finally {
      await database.close();
      await threads.close();
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

  since = Date.now();
  const [turns, early, late] = await withServer(async (address, server) => {
    // What it needs to work at all is there after the first ones.
    await editInTurns(address, TURNS / 10);
    const before = holdingOf(server);
    return [await editInTurns(address, TURNS), before, holdingOf(server)] as const;
  });
  console.log(
    `\n${turns.edits} edits of two windows in turns (${minutes(since)}), ${turns.conflicts} met one of the other`,
  );
  verdict('none of them is lost', turns.lost.length === 0);
  verdict('each was answered as it should be', turns.unexpected.length === 0);
  console.log(
    `The server held ${early.megabytes} MB and ${early.openFiles} files before, ${late.megabytes} MB and ${late.openFiles} files after`,
  );
  verdict(
    'it holds no more and more of them',
    late.megabytes < early.megabytes + MAX_GROWTH_MB && late.openFiles < early.openFiles + MAX_MORE_FILES,
  );

  since = Date.now();
  const backups = await inFolder((folder) => killDuringBackups(folder, BACKUP_KILLS));
  console.log(
    `\n${backups.kills} kills during backup, restore and history (${minutes(since)}); finished before it:`,
    JSON.stringify(backups.finished),
  );
  for (const what of backups.wrong.slice(0, 10)) console.log(`  ${what}`);
  verdict('the data are whole, and as before the work or after it', backups.wrong.length === 0);

  since = Date.now();
  const mutated = runMutatedDocuments(DEMO, MUTATED, SEED);
  console.log(
    `\n${mutated.documents} mutated documents (${minutes(since)}): ${mutated.taken} evaluated and exported, ${mutated.refused} refused, the slowest in ${Math.round(mutated.slowestMs)} ms`,
  );
  for (const what of mutated.wrong.slice(0, 10)) console.log(`  ${what}`);
  verdict('none of them was a fault or had a place that is not finite', mutated.wrong.length === 0);
  verdict(`none took longer than ${MAX_MUTATED_MS} ms`, mutated.slowestMs <= MAX_MUTATED_MS);

  since = Date.now();
  const [clocks, many] = await withDatabase(async (database, threads) => [
    await saveWithWrongClocks(database, threads, 20),
    await historyOfManyEdits(database, threads, MANY_EDITS),
  ]);
  console.log(`\n${clocks.saves} saves with the clock set back and forth`);
  for (const what of clocks.wrong.slice(0, 10)) console.log(`  ${what}`);
  verdict('each is in the history, and the last one is the shot', clocks.wrong.length === 0);
  console.log(
    `\n${many.edits} edits of a shot of 20,000 frames and ${many.documentBytes} bytes (${minutes(since)}): ${many.bytes} bytes of history`,
  );
  verdict('they take less than 10 MB', many.bytes < MAX_MANY_BYTES && many.isRight);

  const loads = await withServer(async (address) => [
    await saveTogether(address, { people: 1, marks: 20, seconds: 8 }),
    await saveTogether(address, { people: 50, marks: 20, seconds: 12 }),
    await saveTogether(address, { people: 1, marks: 9000, seconds: 8 }),
  ]);
  console.log('\nPeople who save without a rest, each a shot of their own');
  console.table(
    loads.map(({ people, documentBytes, seconds, saves, medianMs, slowMs, refused }) => ({
      people,
      'document, bytes': documentBytes,
      'saves a second': Math.round(saves / seconds),
      'median, ms': Math.round(medianMs),
      'one in twenty, ms': Math.round(slowMs),
      refused,
    })),
  );
  verdict(
    'none is refused',
    loads.every(({ refused }) => refused === 0),
  );
  const stale = await withServer((address) => staleSaves(address, 9000, 20));
  console.log(
    `A save that someone was quicker than: ${Math.round(stale.medianMs)} ms, an answer of ${stale.answerBytes} bytes`,
  );
  process.exitCode = failures === 0 ? 0 : 1;
}

await main();
