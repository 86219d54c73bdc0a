import request from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
});

afterEach(() => at.close());

const heavy = { kind: 'ramped', leaveFrames: 9, arriveFrames: 3, ramp: 'soft' };
const keep = (name: string, easing: object = heavy) =>
  request(at.server).post('/api/easings').send({ name, easing });

test('an easing is kept by its name, listed, and taken away', async () => {
  const { body } = await keep('Heavy boots').expect(201);
  await keep('A gull', { kind: 'even' }).expect(201);
  const { body: list } = await request(at.server).get('/api/easings').expect(200);
  expect(list.easings.map(({ name }: { name: string }) => name)).toEqual(['A gull', 'Heavy boots']);
  expect(list.easings[1]).toEqual({ id: body.id, name: 'Heavy boots', easing: heavy });
  await request(at.server).delete(`/api/easings/${body.id}`).expect(204);
  await request(at.server).delete(`/api/easings/${body.id}`).expect(404);
  expect((await request(at.server).get('/api/easings')).body.easings).toHaveLength(1);
});

test('what is no easing, or has no name, is refused with the place', async () => {
  await keep('  ').expect(400);
  await keep('Wrong', { kind: 'curve', x1: 2, y1: 0, x2: 1, y2: 1 }).expect(400);
  await keep('Unknown', { kind: 'magic' }).expect(400);
  expect((await request(at.server).get('/api/easings')).body.easings).toEqual([]);
});

test('it outlives the server', async () => {
  await keep('Heavy boots').expect(201);
  at = await at.restart();
  expect((await request(at.server).get('/api/easings')).body.easings).toHaveLength(1);
});
