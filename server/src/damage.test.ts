import { edits, freshShot, type Shot } from '@humble/core';
import request from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
});

afterEach(() => at.close());

const shot: Shot = freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 });

const create = async (name: string): Promise<string> =>
  (
    await request(at.server)
      .post('/api/shots')
      .send({ shot: edits.renameShot(shot, { name }) })
      .expect(201)
  ).body.id;

interface Entry {
  readonly name: string;
  readonly damage: { readonly code: string; readonly sentence: string } | null;
}

/** The list, once everything in it has been looked at. */
async function list(): Promise<Entry[]> {
  return (await request(at.server).get('/api/shots').expect(200)).body.shots;
}

/** Damages a row as a bad disk or another program would. */
const damage = (id: string, columns: object): Promise<unknown> =>
  at.database.shots.update(columns, { where: { id }, silent: true });

const torn = JSON.stringify(shot).slice(0, -40);
const newer = JSON.stringify({ ...shot, version: 99 });
const nonsense = JSON.stringify({ ...shot, rate: 'fast' });

test.each([
  ['torn', torn, 'damaged-shot', /part of its file is missing or is not a shot/],
  ['of a newer version', newer, 'newer-version', /written by a newer release/],
  ['with nonsense in it', nonsense, 'damaged-shot', /the frame rate is “fast”, and must be a number/],
  ['empty', '', 'damaged-shot', /part of its file is missing or is not a shot/],
])(
  'a document that is %s hides no other, and says what is wrong with it',
  async (_, document, code, what) => {
    await create('Whole');
    const id = await create('Broken');
    await damage(id, { document });
    const entries = await list();
    expect(entries.map(({ name }) => name).sort()).toEqual(['Broken', 'Whole']);
    const broken = entries.find(({ name }) => name === 'Broken')!;
    expect(broken.damage!.sentence).toMatch(what);
    expect(entries.find(({ name }) => name === 'Whole')!.damage).toBeNull();

    const { body } = await request(at.server).get(`/api/shots/${id}`).expect(422);
    expect(body).toMatchObject({ type: `/problems/${code}`, detail: expect.stringMatching(what) });
    const raw = await request(at.server).get(`/api/shots/${id}/document`).expect(200);
    expect(raw.text ?? raw.body.toString()).toBe(document);
    expect(raw.headers['content-disposition']).toMatch('attachment');
  },
);

test('a save never overwrites a document that cannot be read', async () => {
  const id = await create('Broken');
  await damage(id, { document: torn });
  const { body } = await request(at.server).put(`/api/shots/${id}`).send({ revision: 1, shot }).expect(422);
  expect(body.type).toBe('/problems/damaged-shot');
  await request(at.server).post(`/api/shots/${id}/duplicate`).expect(422);
  const record = await at.database.shots.findByPk(id);
  expect(record!.document).toBe(torn);
});

test('a damaged shot can be removed, and taken back as it was', async () => {
  const id = await create('Broken');
  await damage(id, { document: torn });
  await request(at.server).delete(`/api/shots/${id}`).expect(204);
  expect(await list()).toEqual([]);
  await request(at.server).post(`/api/shots/${id}/restore`).expect(200);
  expect((await at.database.shots.findByPk(id))!.document).toBe(torn);
});

test('a document that was made whole again is found to be', async () => {
  const id = await create('Broken');
  await damage(id, { document: torn });
  expect((await list())[0]!.damage).not.toBeNull();
  await damage(id, { document: JSON.stringify(shot) });
  await request(at.server).get(`/api/shots/${id}`).expect(200);
  expect((await list())[0]!.damage).toBeNull();
});

test.each([
  ['torn', { card: '{"width": 80' }],
  ['of another kind', { card: '7' }],
  ['of an older release', { card: '{"width": 1}', cardVersion: 0 }],
])('a card that is %s hides nothing and is drawn anew', async (_, columns) => {
  await create('Whole');
  const id = await create('Card');
  await damage(id, columns);
  expect(await list()).toHaveLength(2);
  const again = (await request(at.server).get('/api/shots')).body.shots.find(
    (entry: { id: string }) => entry.id === id,
  );
  expect(again).toMatchObject({ damage: null, card: { width: 800, height: 600, arcs: [] } });
});

test('rows with nonsense in their other columns are listed', async () => {
  const id = await create('Odd');
  await damage(id, { rate: -1, name: '' });
  expect(await list()).toHaveLength(1);
});

test('a kept easing that is none hides no other, and can be taken away', async () => {
  await request(at.server)
    .post('/api/easings')
    .send({ name: 'Whole', easing: { kind: 'even' } })
    .expect(201);
  await at.database.easings.create({ id: 'broken', name: 'Broken', easing: '{"kind": "magic"' });
  const { body } = await request(at.server).get('/api/easings').expect(200);
  expect(body.easings).toEqual([
    { id: 'broken', name: 'Broken', easing: null },
    expect.objectContaining({ name: 'Whole', easing: { kind: 'even' } }),
  ]);
  await request(at.server).delete('/api/easings/broken').expect(204);
});

describe('what the database says becomes a sentence', () => {
  test('a full disk', async () => {
    const id = await create('Large');
    const { together } = at.database;
    // Of the connection that saves: SQLite itself says then that there is no more room.
    Object.assign(at.database, {
      together: (work: Parameters<typeof together>[0]) =>
        together(async (run, transaction) => {
          await run('PRAGMA max_page_count = 1');
          return work(run, transaction);
        }),
    });
    const long = edits.renameShot({ ...shot, film: 'x'.repeat(100) }, { name: 'y'.repeat(100) });
    const gestures = Array.from({ length: 40 }, (_, i) => ({
      id: `g${i}`,
      name: 'Long',
      speed: 1,
      x: Array.from({ length: 500 }, (__, n) => n / 7),
      y: Array.from({ length: 500 }, (__, n) => n / 3),
      ms: Array.from({ length: 500 }, (__, n) => n),
    }));
    const { body } = await request(at.server)
      .put(`/api/shots/${id}`)
      .send({ revision: 1, shot: { ...long, gestures } })
      .expect(507);
    expect(body.detail).toMatch(/The server’s disk is full\. Make room/);
    Object.assign(at.database, { together });
    expect(await at.database.select('SELECT 1 FROM revisions')).toEqual([]);
    const { body: stored } = await request(at.server).get(`/api/shots/${id}`).expect(200);
    expect(stored).toMatchObject({ revision: 1, shot: { name: 'Large' } });
  });

  test('a database that was moved away while the server runs takes no save', async () => {
    const id = await create('Moved');
    const { renameSync } = await import('node:fs');
    const file = `${at.folder}/humble-pendulum.sqlite`;
    renameSync(file, `${file}.moved`);
    const { body } = await request(at.server).put(`/api/shots/${id}`).send({ revision: 1, shot }).expect(503);
    expect(body.detail).toMatch(/moved or deleted while the server runs/);
    renameSync(`${file}.moved`, file);
    await request(at.server).put(`/api/shots/${id}`).send({ revision: 1, shot }).expect(200);
  });
});
