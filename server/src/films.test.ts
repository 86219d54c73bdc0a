import { edits, freshShot, type Shot } from '@humble/core';
import request from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let at: TestServer;
beforeEach(async () => {
  at = await startTestServer();
});
afterEach(() => at.close());

const fresh = freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 });
const create = async (shot: Shot = fresh): Promise<string> =>
  (await request(at.server).post('/api/shots').send({ shot }).expect(201)).body.id;

interface Listed {
  readonly id: string;
  readonly name: string;
  readonly rank: number | null;
  readonly revision: number;
  readonly card: { readonly backdrop: unknown };
}
const list = async (): Promise<readonly Listed[]> =>
  (await request(at.server).get('/api/shots').expect(200)).body.shots;

test('shots are put in order by hand, which changes nothing else and outlives a restart', async () => {
  const [a, b, c] = [await create(), await create(), await create()];
  await request(at.server)
    .put('/api/shot-order')
    .send({ ids: [c, 'gone', a] })
    .expect(204);
  at = await at.restart();
  const ranks = Object.fromEntries((await list()).map(({ id, rank }) => [id, rank]));
  expect(ranks).toEqual({ [c]: 0, [a]: 2, [b]: null });
  expect((await list()).map(({ revision }) => revision)).toEqual([1, 1, 1]);
});

test.each([[{}], [{ ids: [] }], [{ ids: ['no/id'] }], [{ ids: Array(1001).fill('a') }]])(
  'an order that makes no sense is refused: %#',
  async (body) => {
    const answer = await request(at.server).put('/api/shot-order').send(body);
    expect([400, 422]).toContain(answer.status);
    expect(answer.headers['content-type']).toMatch('application/problem+json');
  },
);

test('whoever asks for the demo film has all of it, and what was changed stays so', async () => {
  await request(at.server).post('/api/demo').send({}).expect(204);
  const all = await list();
  expect(all.length).toBeGreaterThan(3);
  const { body } = await request(at.server).get(`/api/shots/${all[0]!.id}`);
  const changed = edits.renameShot(body.shot, { name: 'Mine now' });
  await request(at.server).put(`/api/shots/${all[0]!.id}`).send({ revision: 1, shot: changed }).expect(200);
  await request(at.server).delete(`/api/shots/${all[1]!.id}`).expect(204);
  await request(at.server).post('/api/demo').send({}).expect(204);
  const again = await list();
  expect(again).toHaveLength(all.length);
  expect(again.map(({ name }) => name)).toContain('Mine now');
});

test('the card of a shot has its backdrop where it lies, unless it is hidden', async () => {
  const picture = {
    sha256: 'ab'.repeat(32),
    type: 'image/png',
    name: 'quay.png',
    width: 400,
    height: 200,
  } as const;
  const under = edits.putBackdrop(fresh, { pictures: [picture] });
  await create(under);
  await create(edits.setBackdrop(under, { hidden: true }));
  const backdrops = (await list()).map(({ card }) => card.backdrop);
  expect(backdrops).toContainEqual({
    sha256: picture.sha256,
    x: 400,
    y: 300,
    width: 1200,
    height: 600,
    turnDeg: 0,
    strength: 1,
  });
  expect(backdrops).toContain(null);
});
