import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sendBadRequests } from './badRequests';
import { sendBlockingShots } from './blocking';
import { openDatabase } from '../database/openDatabase';
import { startThreads } from '../threads/threads';
import { saveWithWrongClocks } from './clockSetBack';
import { killFirstStarts } from './firstStarts';
import { killDuringSaves } from './kills';
import { killDuringBackups } from './killsOfBackups';
import { saveTogether } from './load';
import { runMutatedDocuments } from './mutatedDocuments';
import { holdingOf, type ServerProcess, startServerProcess } from './serverProcess';
import { editInTurns } from './turns';

// The short version of `npm run hardening`, against a real server in a process of its own.

/** Id of the user who owns nothing, on Debian. */
const NOBODY = 65_534;

let folder: string;
const running: ServerProcess[] = [];
const start = (env: NodeJS.ProcessEnv = {}): ServerProcess => {
  const server = startServerProcess(folder, env);
  running.push(server);
  return server;
};

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'humble-hardening-'));
});

afterEach(async () => {
  await Promise.all(running.splice(0).map((server) => server.stop('SIGKILL')));
  rmSync(folder, { recursive: true });
});

test('killed while saves are under way, the server loses none that it acknowledged', async () => {
  const report = await killDuringSaves(folder, 4, 15);
  expect(report).toMatchObject({ lost: 0, failed: 0 });
  expect(report.acknowledged).toBeGreaterThan(4 * 15);
}, 120_000);

test('two windows in turns: each edit is in the shot, in its history, or a shot of its own', async () => {
  const server = start({ HUMBLE_REQUESTS_PER_MINUTE: '100000' });
  const address = await server.address;
  await editInTurns(address, 20);
  const before = holdingOf(server);
  const report = await editInTurns(address, 60);
  expect(report).toMatchObject({ edits: 60, lost: [], unexpected: [] });
  expect(report.conflicts).toBeGreaterThan(3);
  // No file of the database stays open behind a save.
  expect(holdingOf(server).openFiles).toBeLessThan(before.openFiles + 10);
}, 120_000);

test('twelve people who save without a rest hold nobody up', async () => {
  const address = await start({ HUMBLE_REQUESTS_PER_MINUTE: '100000' }).address;
  const { saves, refused, slowMs, medianMs } = await saveTogether(address, {
    people: 12,
    marks: 20,
    seconds: 3,
  });
  expect(refused).toBe(0);
  // Each has had more than one turn, and nobody waits for many times as long as the others.
  expect(saves).toBeGreaterThan(2 * 12);
  expect(slowMs).toBeLessThan(10 * medianMs);
}, 60_000);

test('killed during backup, restore and history, the data are whole, before the work or after it', async () => {
  expect(await killDuringBackups(folder, 10)).toMatchObject({ kills: 10, wrong: [] });
}, 120_000);

test('documents that were changed at random are refused, or evaluated and exported', () => {
  const report = runMutatedDocuments(join(__dirname, '../../../demo'), 150, 7);
  expect(report.wrong).toEqual([]);
  expect(report.taken).toBeGreaterThan(20);
  expect(report.refused).toBeGreaterThan(20);
}, 120_000);

test('with the clock set back and forth no save is lost, and none is out of order', async () => {
  const database = await openDatabase(folder);
  const threads = startThreads(join(__dirname, '../threads'));
  expect(await saveWithWrongClocks(database, threads, 3)).toEqual({ saves: 15, wrong: [] });
  await database.close();
  await threads.close();
}, 60_000);

test('a first start that is killed leaves a folder that can be started', async () => {
  expect(await killFirstStarts(6)).toEqual({ starts: 6, useless: [] });
}, 120_000);

test('it stops cleanly, with its settings made, when it is told to', async () => {
  const server = start();
  const answer = await fetch(`${await server.address}/api/health/database`);
  expect(await answer.json()).toMatchObject({ journalMode: 'wal', synchronous: 'full' });
  expect(await server.stop('SIGINT')).toBe(0);
}, 30_000);

test('a heavy shot holds nobody up', async () => {
  const address = await start().address;
  const reports = await sendBlockingShots(address, (name) => /2,000 placements|200 moves/.test(name));
  expect(reports).toHaveLength(2);
  for (const { status, slowestHealth, took, listed } of reports) {
    expect(status).toBe(200);
    expect(listed).toBeLessThan(5000);
    // Timed only against the work itself: on a busy machine both are slow.
    expect(slowestHealth).toBeLessThan(Math.max(100, took / 2));
  }
}, 60_000);

test('bad requests and files are refused with problem details', async () => {
  const address = await start({ HUMBLE_REQUESTS_PER_MINUTE: '100000' }).address;
  const { wrong, statuses } = await sendBadRequests(address, 400, 7);
  expect(wrong).toEqual([]);
  expect(Object.keys(statuses)).toEqual(expect.arrayContaining(['400', '404', '417', '422', '431']));
}, 60_000);

describe('a start that cannot be says why in one sentence', () => {
  const said = (env: NodeJS.ProcessEnv): Promise<string> =>
    start(env).address.then(
      () => 'started',
      (error: Error) => error.message,
    );

  test('a port that is none, or taken', async () => {
    expect(await said({ PORT: 'abc' })).toBe('PORT must be a whole number from 0 to 65535; it is “abc”.');
    expect(await said({ PORT: '70000' })).toMatch(/^PORT must be a whole number/);
    const taken = new URL(await start().address).port;
    expect(await said({ PORT: taken, HUMBLE_DATA: join(folder, 'other') })).toBe(
      `Port ${taken} is taken by another program. Choose another one with PORT=… in front of the command.`,
    );
  }, 60_000);

  test('a folder that another server has, until that one ends, however it ends', async () => {
    const first = start();
    const { port } = new URL(await first.address);
    expect(await said({})).toMatch(
      new RegExp(
        `${folder} is in use by a server \\(process ${first.child.pid}, port ${port}\\)\\. Stop that first`,
      ),
    );
    await first.stop('SIGKILL');
    expect(await said({})).toBe('started');
  }, 60_000);

  test('a folder that cannot be', async () => {
    writeFileSync(join(folder, 'a-file'), '');
    expect(await said({ HUMBLE_DATA: join(folder, 'a-file/below') })).toMatch(
      /cannot be made\. Choose another one/,
    );
    expect(await said({ HUMBLE_DATA: '/proc/humble' })).toMatch(/cannot be made|cannot be written/);
  }, 30_000);

  const isRoot = process.getuid?.() === 0;
  // Root may write anywhere: there the server is started as a user who may not, where that one may read it.
  const mayStart =
    !isRoot ||
    spawnSync(process.execPath, ['-e', `require('node:fs').readFileSync(${JSON.stringify(__filename)})`], {
      uid: NOBODY,
    }).status === 0;

  (mayStart ? test : test.skip)(
    'a folder that may not be written',
    async () => {
      chmodSync(folder, 0o555);
      const server = startServerProcess(folder, {}, isRoot ? NOBODY : undefined);
      running.push(server);
      await expect(server.address).rejects.toThrow(/cannot be written\. Allow it, or choose another folder/);
      chmodSync(folder, 0o755);
    },
    30_000,
  );
});
