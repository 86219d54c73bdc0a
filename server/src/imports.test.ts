import { edits, freshShot } from '@humble/core';
import { readShotFile, writeIncrementsCsv, writeShotFile } from '@humble/core/files';
import request from 'supertest';
import { createShotService } from './services/shotService';
import { startTestServer, type TestServer } from './testing/testServer';
import type { Threads } from './threads/threads';

let at: TestServer;
beforeEach(async () => {
  at = await startTestServer();
});
afterEach(() => at.close());

const still = { x: 0, y: 0 };
const shot = edits.drawArc(freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 }), {
  points: [0, 120].map((x) => ({ x, y: 0, in: still, out: still, kind: 'corner' as const })),
});

const send = (bytes: Buffer | string, name: string, firstFrame = '1') =>
  request(at.server)
    .post('/api/imports')
    .set('content-type', 'application/octet-stream')
    .set('x-file-name', encodeURIComponent(name))
    .set('x-first-frame', firstFrame)
    .send(Buffer.from(bytes));

test('a shot file is put in as it is, and the answer is the shot', async () => {
  const { body } = await send(writeShotFile(shot), 'Quay.json').expect(201);
  expect(body).toMatchObject({ revision: 1, notes: [], shot: JSON.parse(JSON.stringify(shot)) });
  const { body: read } = await request(at.server).get(`/api/shots/${body.id}`).expect(200);
  expect(read.shot).toEqual(body.shot);
  const { body: list } = await request(at.server).get('/api/shots').expect(200);
  expect(list.shots[0]).toMatchObject({ name: 'Quay', card: { arcs: [expect.stringMatching(/^M0 0/)] } });
});

test('a table becomes a shot, its frames counted as its writer counted them, and what it could not say is told', async () => {
  const { body } = await send(writeIncrementsCsv(shot, undefined, 0), 'moves.csv', '0').expect(201);
  expect(body.shot.name).toBe('moves');
  expect(body.shot.lengthFrames).toBe(21);
  expect(body.notes.join(' ')).not.toBe('');
});

test.each([
  ['', 'empty.json', 'it is empty'],
  ['{"format": "humble-pendulum-shot"', 'torn.json', 'ends too soon'],
  ['{"format": "other"}', 'other.json', 'is not a Humble Pendulum shot'],
  ['frame,place\n1,x\n2,3', 'words.csv', 'Line 2'],
])('what cannot be read is refused with its sentence: %j', async (text, name, sentence) => {
  const { body } = await send(text, name).expect(422);
  expect(body.detail).toContain(sentence);
  const { body: list } = await request(at.server).get('/api/shots').expect(200);
  expect(list.shots).toEqual([]);
});

test('a name that is no text, and a file that is too large, are answered', async () => {
  await request(at.server)
    .post('/api/imports')
    .set('content-type', 'application/octet-stream')
    .set('x-file-name', '%E0%A4%A')
    .send(Buffer.from(writeShotFile(shot)))
    .expect(201);
  await send(Buffer.alloc(33 * 1024 * 1024, 0x20), 'large.json').expect(413);
});

test('what comes in is checked once: putting it in asks no thread for anything more', async () => {
  const asked: string[] = [];
  const threads = new Proxy({} as Threads, {
    get: (_, name) => () => {
      asked.push(String(name));
      throw new Error('a thread was asked');
    },
  });
  const service = createShotService(at.database, threads);
  const document = JSON.stringify(readShotFile(writeShotFile(shot)));
  const columns = { document, name: 'Quay', film: '', lengthFrames: 21, rate: 12, card: '{}' };
  const { id } = await service.create(columns);
  expect((await service.read(id)).document).toBe(document);
  expect(asked).toEqual([]);
});
