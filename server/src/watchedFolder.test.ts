import { appendFileSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { AnswerOf } from '@humble/core/contract';
import request from 'supertest';
import sharp from 'sharp';
import { StartError } from './database/startError';
import { createPictureService } from './services/pictureService';
import { watchFolder, type WatchedFolder } from './services/watchedFolder';
import { startTestServer, type TestServer, testThreads } from './testing/testServer';

let at: TestServer;
let folder: string;
let watched: WatchedFolder;

beforeEach(async () => {
  at = await startTestServer();
  folder = mkdtempSync(join(tmpdir(), 'humble-camera-'));
  writeFileSync(join(folder, 'old.jpg'), 'was there before');
  watched = await watchFolder(folder, createPictureService(at.database, testThreads()));
});

afterEach(async () => {
  await watched.close();
  rmSync(folder, { recursive: true });
  await at.close();
});

const jpeg = (width: number): Promise<Buffer> =>
  sharp({ create: { width, height: 90, channels: 3, background: '#884422' } })
    .jpeg()
    .toBuffer();

/** What came, when so many files have. */
async function after(number: number, count: number): Promise<AnswerOf<'readWatchedFolder'>['files']> {
  while (watched.filesAfter(number).length < count) await new Promise(setImmediate);
  return [...watched.filesAfter(number)] as AnswerOf<'readWatchedFolder'>['files'];
}

test('a picture that is put into the folder is kept, and what was there before is left alone', async () => {
  writeFileSync(join(folder, 'a.jpg'), await jpeg(160));
  const [file, ...others] = await after(0, 1);
  expect(others).toEqual([]);
  expect(file).toMatchObject({ number: 1, name: 'a.jpg', sentence: '', picture: { width: 160, height: 90 } });
  const { body } = await request(at.server).get(`/api/pictures/${file!.picture!.sha256}`);
  expect(Buffer.from(body as Buffer).length).toBeGreaterThan(100);
});

test('a half-written picture is waited for', async () => {
  const bytes = await jpeg(640);
  const path = join(folder, 'slow.jpg');
  writeFileSync(path, bytes.subarray(0, 200));
  appendFileSync(path, bytes.subarray(200));
  const [file] = await after(0, 1);
  expect(file!.picture).toMatchObject({ width: 640 });
});

test('a file that is no picture is named, and the next one comes all the same', async () => {
  writeFileSync(join(folder, 'notes.txt'), 'light on the left');
  await after(0, 1);
  writeFileSync(join(folder, 'b.jpg'), await jpeg(200));
  const files = await after(0, 2);
  expect(files.map(({ name, picture }) => [name, picture?.width ?? null])).toEqual([
    ['notes.txt', null],
    ['b.jpg', 200],
  ]);
  expect(files[0]!.sentence).toMatch(/no PNG, JPEG, WebP or SVG/);
  expect(watched.filesAfter(1)).toHaveLength(1);
});

test('a picture that breaks off is named, and nothing of it is kept', async () => {
  const bytes = await jpeg(640);
  writeFileSync(join(folder, 'torn.jpg'), bytes.subarray(0, Math.round(bytes.length / 2)));
  const [file] = await after(0, 1);
  expect(file).toMatchObject({ name: 'torn.jpg', picture: null });
  expect(file!.sentence).toMatch(/damaged/);
});

test('a folder that is none is refused at the start', async () => {
  const wrong = watchFolder(join(folder, 'nowhere'), createPictureService(at.database, testThreads()));
  await expect(wrong).rejects.toThrow(StartError);
});

test('without a folder the server says so', async () => {
  const { body } = await request(at.server).get('/api/watched-folder/0');
  expect(body).toEqual({ folder: null, files: [] });
});
