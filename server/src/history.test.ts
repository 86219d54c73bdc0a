import { edits, freshShot, type Shot } from '@humble/core';
import type { AnswerOf } from '@humble/core/contract';
import { MAX_HISTORY_BYTES, REVISIONS_LISTED } from '@humble/core/routes';
import request from 'supertest';
import sharp from 'sharp';
import { createHistoryStore, type HistoryStore } from './database/historyStore';
import { historyOfManyEdits } from './hardening/manyEdits';
import { createShotService } from './services/shotService';
import { startTestServer, type TestServer, testThreads } from './testing/testServer';

let at: TestServer;
let history: HistoryStore;

beforeEach(async () => {
  at = await startTestServer();
  history = createHistoryStore(at.database, testThreads());
});

afterEach(() => at.close());

const HOUR_MS = 3600_000;
const fresh = freshShot({ name: 'Save 1', rate: 24, lengthFrames: 48, width: 400, height: 300 });
const named = (n: number, shot: Shot = fresh): Shot => edits.renameShot(shot, { name: `Save ${n}` });

async function created(shot: Shot = fresh): Promise<string> {
  const { body } = await request(at.server).post('/api/shots').send({ shot });
  return (body as { readonly id: string }).id;
}

const saved = (id: string, revision: number, shot: Shot) =>
  request(at.server).put(`/api/shots/${id}`).send({ revision, shot }).expect(200);

/** A shot that was saved so often after it was made. */
async function savedOften(saves: number): Promise<string> {
  const id = await created();
  for (let i = 1; i <= saves; i++) await saved(id, i, named(i + 1));
  return id;
}

async function listed(id: string, before = 1_000_000): Promise<AnswerOf<'listRevisions'>> {
  const { body } = await request(at.server).get(`/api/shots/${id}/revisions/before/${before}`).expect(200);
  return body as AnswerOf<'listRevisions'>;
}

const past = async (id: string, revision: number): Promise<{ readonly shot: Shot }> =>
  (await request(at.server).get(`/api/shots/${id}/revisions/${revision}`).expect(200)).body as {
    readonly shot: Shot;
  };

/** As if the saves had been made so long ago, the first one first. */
async function aged(id: string, agesMs: readonly number[]): Promise<void> {
  await at.database.together(async (run) => {
    for (const [i, age] of agesMs.entries())
      await run('UPDATE revisions SET savedAt = $savedAt WHERE shotId = $id AND revision = $revision', {
        id,
        revision: i + 1,
        savedAt: Date.now() - age,
      });
  });
}

test('what was saved before can be read again, with what changed in plain words, and its card', async () => {
  const id = await created();
  await saved(id, 1, edits.setLength(fresh, { lengthFrames: 96 }));
  await saved(id, 2, named(3));
  const { revisions, count, bytes } = await listed(id);
  expect(revisions.map(({ revision, changes }) => [revision, changes])).toEqual([
    [3, ['renamed “Save 3”', '48 frames long, was 96']],
    [2, ['96 frames long, was 48']],
    [1, []],
  ]);
  expect(revisions.every(({ card }) => card.width === 400)).toBe(true);
  expect(count).toBe(3);
  expect(bytes).toBeGreaterThan(100);
  expect((await past(id, 1)).shot).toEqual(fresh);
  expect((await past(id, 2)).shot.lengthFrames).toBe(96);
});

test('a shot that was never changed has no earlier revisions, and a wrong number is said to be none', async () => {
  const id = await created();
  expect(await listed(id)).toEqual({ revisions: [], count: 0, bytes: 0 });
  await request(at.server).get(`/api/shots/${id}/revisions/7`).expect(404);
  await request(at.server).get('/api/shots/nobody/revisions/before/7').expect(404);
  await request(at.server).get(`/api/shots/${id}/revisions/before/x`).expect(400);
});

test('a card that was made in another way is shown as the field alone', async () => {
  const id = await savedOften(1);
  await at.database.together((run) =>
    run('UPDATE revisions SET cardVersion = 0, card = card WHERE revision = 1'),
  );
  const { revisions } = await listed(id);
  expect(revisions.map(({ card }) => [card.width, card.arcs])).toEqual([
    [400, []],
    [1920, []],
  ]);
});

test('a stale save leaves no trace in it', async () => {
  const id = await savedOften(2);
  await request(at.server)
    .put(`/api/shots/${id}`)
    .send({ revision: 1, shot: named(9) })
    .expect(409);
  expect((await listed(id)).count).toBe(3);
});

test('many revisions come page by page, each right, beyond a whole document in the chain', async () => {
  const id = await savedOften(130);
  const first = await listed(id);
  expect(first.revisions).toHaveLength(REVISIONS_LISTED);
  const next = await listed(id, first.revisions.at(-1)!.revision);
  expect(next.revisions[0]!.revision).toBe(131 - REVISIONS_LISTED);
  expect(next.revisions.at(-1)!.changes).toEqual([`renamed “Save ${132 - 2 * REVISIONS_LISTED}”`]);
  const whole = await at.database.select<{ revision: number }>(
    'SELECT revision FROM revisions WHERE basedOn IS NULL ORDER BY revision',
  );
  expect(whole.map(({ revision }) => revision)).toEqual([1, 102]);
  for (const revision of [1, 57, 101, 102, 103, 131])
    expect((await past(id, revision)).shot.name).toBe(`Save ${revision}`);
}, 30_000);

test('they thin out with age, and those that stay are what they were', async () => {
  const id = await savedOften(9);
  const now = Date.now();
  // Two on a day long ago, three in an hour of yesterday evening, five just now.
  const day = now - 10 * 24 * HOUR_MS;
  const dayStart = day - (day % (24 * HOUR_MS));
  const hourStart = now - 5 * HOUR_MS - ((now - 5 * HOUR_MS) % HOUR_MS);
  const ages = [dayStart + 1, dayStart + 2, hourStart + 1, hourStart + 2, hourStart + 3].map((t) => now - t);
  await aged(id, [...ages, 5, 4, 3, 2, 1]);
  await history.thin(id, now);
  const { revisions } = await listed(id);
  expect(revisions.map(({ revision }) => revision)).toEqual([10, 9, 8, 7, 6, 5, 2]);
  for (const { revision } of revisions) expect((await past(id, revision)).shot.name).toBe(`Save ${revision}`);
  // What it says is said against the one that is now before it.
  expect(revisions.at(-2)!.changes).toEqual(['renamed “Save 5”']);
  // And it goes on being saved.
  await saved(id, 10, named(11));
  expect((await past(id, 11)).shot.name).toBe('Save 11');
}, 30_000);

test('all histories are thinned while the server runs, those of unchanged shots left alone', async () => {
  const service = createShotService(at.database, testThreads());
  const id = await savedOften(3);
  await created();
  await aged(
    id,
    [30, 29, 28, 27].map((hours) => hours * HOUR_MS + 60_000),
  );
  expect(await service.thinHistories(new Date(Date.now() + 48 * HOUR_MS))).toBe(1);
  expect((await listed(id)).count).toBeLessThanOrEqual(2);
});

test('a history that grows too large loses its oldest revisions, never its newest', async () => {
  const id = await savedOften(5);
  await at.database.together((run) =>
    run('UPDATE revisions SET card = zeroblob($bytes) WHERE shotId = $id AND revision < 5', {
      id,
      bytes: Math.ceil(MAX_HISTORY_BYTES / 2.5),
    }),
  );
  await history.thin(id);
  const kept = await at.database.select<{ revision: number }>(
    'SELECT revision FROM revisions ORDER BY revision',
  );
  expect(kept.map(({ revision }) => revision)).toEqual([3, 4, 5, 6]);
});

test('edits of a shot of 20,000 frames cost what changed', async () => {
  const { bytes, isRight } = await historyOfManyEdits(at.database, testThreads(), 120);
  expect(bytes).toBeLessThan((120 / 1000) * 10 * 1024 * 1024);
  expect(isRight).toBe(true);
}, 60_000);

test('a picture that only an earlier revision shows stays until the shot is gone for good', async () => {
  const bytes = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a00' } })
    .png()
    .toBuffer();
  const { body } = await request(at.server).post('/api/pictures').set('x-file-name', 'red.png').send(bytes);
  const { note: _, ...picture } = body as { note: string; sha256: string; width: number; height: number };
  const id = await created();
  await saved(id, 1, edits.takePicture(fresh, { picture } as Parameters<typeof edits.takePicture>[1]));
  await saved(id, 2, named(3));
  // Another shot that had it goes for good: it is still used.
  const other = await created(
    edits.takePicture(fresh, { picture } as Parameters<typeof edits.takePicture>[1]),
  );
  const removeForGood = async (one: string): Promise<void> => {
    await request(at.server).delete(`/api/shots/${one}`).expect(204);
    await request(at.server).delete(`/api/removed-shots/${one}`).expect(204);
  };
  await removeForGood(other);
  await request(at.server).get(`/api/pictures/${picture.sha256}`).expect(200);
  await removeForGood(id);
  await request(at.server).get(`/api/pictures/${picture.sha256}`).expect(404);
  expect(await at.database.select('SELECT 1 FROM revisions')).toEqual([]);
});

test('a damaged revision says so, and those that do not stand on it are there', async () => {
  const id = await savedOften(4);
  await at.database.together((run) => run('DELETE FROM revisions WHERE revision = 3'));
  await request(at.server).get(`/api/shots/${id}/revisions/2`).expect(200);
  const { body } = await request(at.server).get(`/api/shots/${id}/revisions/5`).expect(422);
  expect((body as { detail: string }).detail).toBe('This revision is damaged: part of it is missing.');
});
