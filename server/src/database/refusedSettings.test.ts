import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import { openDatabase } from './openDatabase';

// Connections on which nothing is set, as on a disk that cannot keep a write-ahead log.
jest.mock('./connectionSettings', () => ({
  ...jest.requireActual('./connectionSettings'),
  configuredSqlite: sqlite3,
}));

test('a database whose settings did not take is not opened', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'humble-settings-'));
  await expect(openDatabase(folder)).rejects.toThrow(
    /cannot be kept safely \(journalMode is delete, .*busyTimeoutMs is \d+\)\. Choose a folder/,
  );
  rmSync(folder, { recursive: true });
});
