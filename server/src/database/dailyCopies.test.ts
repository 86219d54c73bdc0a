import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freshShot } from '@humble/core';
import request from 'supertest';
import { startTestServer } from '../testing/testServer';
import { COPIES_KEPT, copyOfToday, dailyCopiesIn, faultOfCopy, lastGoodCopy } from './dailyCopies';
import { type Database, openDatabase } from './openDatabase';

let folder: string;
let database: Database;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'humble-copies-'));
  database = await openDatabase(folder);
});

afterEach(async () => {
  await database.close();
  rmSync(folder, { recursive: true });
});

const day = (n: number): Date => new Date(2026, 10, n, 12);

test('a day has one copy, which is whole and holds what there was', async () => {
  const at = await startTestServer();
  try {
    const shot = freshShot({ name: 'Quay', rate: 12, lengthFrames: 9, width: 400, height: 300 });
    await request(at.server).post('/api/shots').send({ shot });
    const file = await copyOfToday(at.folder, at.database, day(3));
    expect(file).toMatch(/humble-pendulum-2026-11-03\.sqlite$/);
    expect(await faultOfCopy(file!)).toBeNull();
    expect(await copyOfToday(at.folder, at.database, day(3))).toBeNull();
    // Put in the place of a lost database it is one.
    const other = mkdtempSync(join(tmpdir(), 'humble-again-'));
    writeFileSync(join(other, 'humble-pendulum.sqlite'), readFileSync(file!));
    const again = await openDatabase(other);
    expect((await again.shots.findAll()).map(({ name }) => name)).toEqual(['Quay']);
    await again.close();
    rmSync(other, { recursive: true });
  } finally {
    await at.close();
  }
});

test('fourteen are kept, the last ones', async () => {
  for (let n = 1; n <= COPIES_KEPT + 3; n++) await copyOfToday(folder, database, day(n));
  const names = dailyCopiesIn(folder);
  expect(names).toHaveLength(COPIES_KEPT);
  expect(names[0]).toBe('humble-pendulum-2026-11-04.sqlite');
  expect(lastGoodCopy(folder)!.day).toBe('2026-11-17');
});

test('a copy that is not whole is thrown away, and the older ones stay', async () => {
  await copyOfToday(folder, database, day(1));
  const torn = {
    copyInto: async (file: string): Promise<void> => {
      await database.copyInto(file);
      writeFileSync(file, readFileSync(file).subarray(0, 5000));
    },
  };
  await expect(copyOfToday(folder, torn, day(2))).rejects.toThrow('not whole');
  expect(dailyCopiesIn(folder)).toEqual(['humble-pendulum-2026-11-01.sqlite']);
  expect(existsSync(join(folder, 'copies/humble-pendulum-2026-11-02.sqlite.unfinished'))).toBe(false);
});

test('a copy that a killed server left half-written is no obstacle', async () => {
  await copyOfToday(folder, database, day(1));
  writeFileSync(join(folder, 'copies/humble-pendulum-2026-11-02.sqlite.unfinished'), 'half');
  expect(await copyOfToday(folder, database, day(2))).toMatch(/11-02/);
});

test('a damaged database at the start names its last good copy, and what is missing since', async () => {
  await copyOfToday(folder, database, day(9));
  await database.close();
  writeFileSync(
    join(folder, 'humble-pendulum.sqlite'),
    'this is no database, and it never was one of any kind',
  );
  await expect(openDatabase(folder)).rejects.toThrow(
    /is not a database\. Its last good copy is of 2026-11-09: .*humble-pendulum-2026-11-09\.sqlite\. Which shots have changed since then can no longer be read\. To go on with that copy: npx humble-pendulum restore --last-copy/,
  );
  rmSync(join(folder, 'humble-pendulum.sqlite'));
  database = await openDatabase(folder);
});
