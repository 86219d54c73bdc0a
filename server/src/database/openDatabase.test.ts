import { mkdirSync, mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { REQUIRED_SETTINGS, settingsAmiss } from './connectionSettings';
import { MIGRATIONS } from './migrations';
import { openDatabase } from './openDatabase';
import { DATABASE_FILE } from './setAside';

let folder: string;
const file = (): string => join(folder, DATABASE_FILE);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'humble-database-'));
});

afterEach(() => rmSync(folder, { recursive: true }));

/** Runs statements on the database as another program would, and returns the rows of the last one. */
function outside(...statements: string[]): Promise<Record<string, unknown>[]> {
  return new Promise((resolve, reject) => {
    const connection = new sqlite3.Database(file());
    const last = statements.pop()!;
    connection.serialize(() => {
      for (const statement of statements) connection.run(statement);
      connection.all<Record<string, unknown>>(last, (error, rows) =>
        connection.close(() => (error ? reject(error) : resolve(rows))),
      );
    });
  });
}

const opened = async (): Promise<void> => (await openDatabase(folder)).close();
const sentence = (): Promise<string> =>
  opened().then(
    () => 'opened',
    (error: Error) => error.message,
  );

test('the settings are those of its own connection, and the log can be seen from outside', async () => {
  const database = await openDatabase(folder);
  expect(await database.settings()).toEqual(REQUIRED_SETTINGS);
  expect(await outside('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  await database.close();
});

test('a setting that did not take is named', () => {
  expect(settingsAmiss(REQUIRED_SETTINGS)).toEqual([]);
  expect(settingsAmiss({ ...REQUIRED_SETTINGS, journalMode: 'delete', foreignKeys: false })).toEqual([
    'journalMode is delete',
    'foreignKeys is false',
  ]);
});

test('reading goes on while another program holds the database, and writing waits for it', async () => {
  const database = await openDatabase(folder);
  const other = new sqlite3.Database(file());
  await new Promise((resolve) => other.exec('BEGIN EXCLUSIVE', resolve));
  expect(await database.shots.count()).toBe(0);
  const writing = database.easings.create({ id: 'a', name: 'A', easing: '{}' });
  setTimeout(() => other.exec('COMMIT'), 1500);
  await writing;
  expect(await database.easings.count()).toBe(1);
  await new Promise((resolve) => other.close(resolve));
  await database.close();
}, 20_000);

test('a start that an early release broke off between a table and its note is made good', async () => {
  await outside(
    'CREATE TABLE SequelizeMeta (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)',
    ...MIGRATIONS[0]!.statements,
    'SELECT 1',
  );
  await opened();
  const rows = await outside('SELECT name FROM SequelizeMeta ORDER BY name');
  expect(rows.map(({ name }) => name)).toEqual(MIGRATIONS.map(({ name }) => name));
});

/** A database as the release before the last migration left it, with an easing in it. */
async function anEarlierDatabase(): Promise<void> {
  const before = MIGRATIONS.slice(0, -1);
  await outside(
    'CREATE TABLE SequelizeMeta (name VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY)',
    ...before.flatMap(({ name, statements }) => [
      ...statements,
      `INSERT INTO SequelizeMeta (name) VALUES ('${name}')`,
    ]),
    "INSERT INTO easings VALUES ('a', 'Heavy boots', '{}', '2026-01-01')",
    'SELECT 1',
  );
}

test('a copy is set aside before an existing database changes, and not again after', async () => {
  await anEarlierDatabase();
  await opened();
  await opened();
  const copies = readdirSync(folder).filter((name) => name.includes('.before-'));
  expect(copies).toEqual([`humble-pendulum.before-${MIGRATIONS[MIGRATIONS.length - 1]!.name}.sqlite`]);
  rmSync(file());
  const copy = await new Promise<unknown[]>((resolve, reject) => {
    const connection = new sqlite3.Database(join(folder, copies[0]!));
    connection.all('SELECT name FROM easings', (error, rows) =>
      connection.close(() => (error ? reject(error) : resolve(rows))),
    );
  });
  expect(copy).toEqual([{ name: 'Heavy boots' }]);
});

describe('what cannot be opened gets a sentence with a way out', () => {
  test('a database that is gone or empty beside a copy', async () => {
    await anEarlierDatabase();
    await opened();
    truncateSync(file(), 0);
    expect(await sentence()).toMatch(/is empty, but there is a copy of it, .*Rename the copy/);
    rmSync(file());
    expect(await sentence()).toMatch(/is gone, but there is a copy of it/);
    for (const name of readdirSync(folder)) rmSync(join(folder, name));
    expect(await sentence()).toBe('opened');
  });

  test('a file that is none', async () => {
    writeFileSync(file(), 'Dear diary, '.repeat(500));
    expect(await sentence()).toMatch(/is not a database\. Put a copy in its place/);
  });

  test('a damaged one', async () => {
    await opened();
    await outside('PRAGMA journal_mode = DELETE');
    writeFileSync(file(), Buffer.alloc(4000, 255), { flag: 'r+' });
    expect(await sentence()).toMatch(/is (damaged|not a database)\. Put a copy in its place/);
  });

  test('the database of another program', async () => {
    await outside('CREATE TABLE recipes (name TEXT)', 'SELECT 1');
    expect(await sentence()).toMatch(/belongs to another program\. Move it away/);
    expect(await outside("SELECT name FROM sqlite_master WHERE type = 'table'")).toEqual([
      { name: 'recipes' },
    ]);
  });

  test('that of a newer release', async () => {
    await opened();
    await outside("INSERT INTO SequelizeMeta VALUES ('900-later')", 'SELECT 1');
    expect(await sentence()).toMatch(/written by a newer release \(900-later\)/);
  });

  test('a folder that cannot be', async () => {
    writeFileSync(join(folder, 'a-file'), '');
    await expect(openDatabase(join(folder, 'a-file/below'))).rejects.toThrow(
      /The folder .*a-file\/below cannot be made\. Choose another one/,
    );
    mkdirSync(file());
    expect(await sentence()).toMatch(/cannot be written\. Allow it, or choose another folder/);
  });
});
