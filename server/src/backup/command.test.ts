import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edits, freshShot } from '@humble/core';
import request from 'supertest';
import { copyOfToday } from '../database/dailyCopies';
import { openDatabase } from '../database/openDatabase';
import { startServerProcess } from '../hardening/serverProcess';
import { startTestServer, type TestServer } from '../testing/testServer';

let at: TestServer;
let folder: string;

beforeEach(async () => {
  at = await startTestServer();
  folder = mkdtempSync(join(tmpdir(), 'humble-command-'));
  const shot = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 400, height: 300 });
  const { body } = await request(at.server).post('/api/shots').send({ shot });
  const { id } = body as { readonly id: string };
  await request(at.server)
    .put(`/api/shots/${id}`)
    .send({ revision: 1, shot: edits.setLength(shot, { lengthFrames: 96 }) });
});

afterEach(async () => {
  await at.close();
  rmSync(folder, { recursive: true });
});

/** What `npx humble-pendulum` starts. */
function run(...args: string[]) {
  const program = join(__dirname, '../../dist/backup/command.mjs');
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], {
    encoding: 'utf8',
    env: { ...process.env, HUMBLE_DATA: folder },
  });
  return { status, stdout, stderr: stderr.trim() };
}

test('a backup is made while a server runs, verified, and read back into an empty folder', () => {
  const file = join(folder, 'all.zip');
  const made = run('backup', '--data', at.folder, '--out', file);
  expect(made).toMatchObject({ status: 0, stderr: '' });
  expect(made.stdout).toContain('1 shot, 0 more in the bin, 2 earlier versions, 0 pictures');
  expect(made.stdout).toContain('Nothing is wrong with it.');
  expect(run('verify', file)).toMatchObject({
    status: 0,
    stdout: made.stdout.split('\n').slice(1).join('\n'),
  });
  const other = join(folder, 'new/data');
  const restored = run('restore', file, '--data', other);
  expect(restored.stdout).toContain(
    '1 shot added, 0 under another name beside later ones, 0 the same already.',
  );
  expect(run('restore', file, '--data', other).stdout).toContain('0 shots added, 0 under another name');
  const again = run('restore', file, '--data', other, '--instead');
  expect(again.stdout).toMatch(/1 shot restored\. What was there before is in copies\/before-restore-/);
  expect(run('verify', '--data', other)).toMatchObject({ status: 0 });
}, 60_000);

test('what cannot be is said in one sentence, and changes nothing', async () => {
  expect(run('backup', '--data', folder)).toMatchObject({
    status: 1,
    stderr: `There is no data in ${folder}. Say where it is with --data FOLDER.`,
  });
  expect(run('verify', join(folder, 'nothing.zip')).stderr).toMatch(/^There is no file .*nothing\.zip\.$/);
  writeFileSync(join(folder, 'diary.zip'), 'Dear diary');
  expect(run('verify', join(folder, 'diary.zip')).stderr).toBe(
    'This file isn’t a backup of Humble Pendulum.',
  );
  expect(run('restore', '--data', folder).stderr).toBe('restore takes one backup, or --last-copy.');
  const server = startServerProcess(folder);
  await server.address;
  expect(run('restore', join(folder, 'diary.zip'), '--data', folder).stderr).toMatch(
    /is in use by a server \(process \d+, port \d+\)/,
  );
  await server.stop('SIGINT');
}, 60_000);

test('damaged data: the start says what to do, and doing it goes on with the last copy', async () => {
  await copyOfToday(at.folder, at.database, new Date(2026, 10, 9, 12));
  // A folder that no server has open.
  cpSync(at.folder, folder, { recursive: true });
  const file = join(folder, 'humble-pendulum.sqlite');
  for (const ending of ['-wal', '-shm']) rmSync(file + ending, { force: true });
  writeFileSync(file, 'this is no database at all, and it never was one of any kind');
  const said = await startServerProcess(folder).address.catch((error: Error) => error.message);
  const [, command] = /To go on with that copy: npx humble-pendulum ([^(]*) \(/.exec(said)!;
  const { status, stdout } = run(...command!.split(' '));
  expect(status).toBe(0);
  expect(stdout).toMatch(/^The copy of 2026-11-09 is in place\. .*\nWhich shots have changed since then/);
  expect(readdirSync(folder).filter((name) => name.includes('set-aside'))).toHaveLength(1);
  const again = await openDatabase(folder);
  expect((await again.shots.findAll()).map(({ name }) => name)).toEqual(['Quay']);
  await again.close();
  expect(existsSync(`${file}.next`)).toBe(false);
}, 60_000);
