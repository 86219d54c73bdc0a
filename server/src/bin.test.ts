import { createHash } from 'node:crypto';
import { edits, freshShot, type Picture, type Shot } from '@humble/core';
import { BIN_DAYS } from '@humble/core/routes';
import request from 'supertest';
import sharp from 'sharp';
import { createShotService } from './services/shotService';
import { startTestServer, type TestServer, testThreads } from './testing/testServer';

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
});

afterEach(() => at.close());

const DAY_MS = 24 * 3600 * 1000;

async function picture(red: number): Promise<Picture> {
  const bytes = await sharp({
    create: { width: 40, height: 30, channels: 3, background: { r: red, g: 0, b: 0 } },
  })
    .png()
    .toBuffer();
  const { body } = await request(at.server).post('/api/pictures').set('x-file-name', 'red.png').send(bytes);
  const { note: _, ...kept } = body as Picture & { readonly note: string };
  return kept;
}

const shotWith = (...pictures: Picture[]): Shot =>
  pictures.reduce<Shot>(
    (shot, one) => edits.takePicture(shot, { picture: one }),
    freshShot({ name: 'Taken', rate: 12, lengthFrames: 9, width: 400, height: 300 }),
  );

async function removed(shot: Shot): Promise<string> {
  const { body } = await request(at.server).post('/api/shots').send({ shot });
  const { id } = body as { readonly id: string };
  await request(at.server).delete(`/api/shots/${id}`).expect(204);
  return id;
}

const status = async (address: string): Promise<number> => (await request(at.server).get(address)).status;
const inBin = async (): Promise<readonly string[]> =>
  ((await request(at.server).get('/api/removed-shots')).body as { shots: { id: string }[] }).shots.map(
    ({ id }) => id,
  );

test('what is removed for good takes the pictures along that it alone used, and no others', async () => {
  const [own, shared] = [await picture(10), await picture(20)];
  const id = await removed(shotWith(own, shared));
  await request(at.server)
    .post('/api/shots')
    .send({ shot: shotWith(shared) });
  const unused = await picture(30);
  await request(at.server).delete(`/api/removed-shots/${id}`).expect(204);
  expect(await inBin()).toEqual([]);
  await request(at.server).post(`/api/shots/${id}/restore`).expect(404);
  expect(await status(`/api/pictures/${own.sha256}`)).toBe(404);
  expect(await status(`/api/pictures/${shared.sha256}`)).toBe(200);
  // Nobody has put it into a shot yet: it is none of this one's.
  expect(await status(`/api/pictures/${unused.sha256}`)).toBe(200);
});

test('a picture that another shot of the bin uses stays until that one goes, too', async () => {
  const shared = await picture(40);
  const [first, second] = [await removed(shotWith(shared)), await removed(shotWith(shared))];
  await request(at.server).delete(`/api/removed-shots/${first}`).expect(204);
  expect(await status(`/api/pictures/${shared.sha256}`)).toBe(200);
  await request(at.server).delete(`/api/removed-shots/${second}`).expect(204);
  expect(await status(`/api/pictures/${shared.sha256}`)).toBe(404);
});

test('a shot that is in use is never removed for good', async () => {
  const { body } = await request(at.server).post('/api/shots').send({ shot: shotWith() });
  const { id } = body as { readonly id: string };
  await request(at.server).delete(`/api/removed-shots/${id}`).expect(404);
  await request(at.server).delete('/api/removed-shots').expect(204);
  expect(await status(`/api/shots/${id}`)).toBe(200);
});

test('the bin is emptied by hand, however much there is in it', async () => {
  for (let i = 0; i < 23; i++) await removed(shotWith());
  await request(at.server).delete('/api/removed-shots').expect(204);
  expect(await inBin()).toEqual([]);
});

test('after thirty days a shot goes by itself, and not a day sooner', async () => {
  const id = await removed(shotWith());
  const { body } = await request(at.server).get('/api/removed-shots');
  const [listed] = (body as { shots: { removedAt: string; goneAt: string; card: object }[] }).shots;
  expect((Date.parse(listed!.goneAt) - Date.parse(listed!.removedAt)) / DAY_MS).toBe(BIN_DAYS);
  expect(listed!.card).toMatchObject({ width: 400 });
  const shots = createShotService(at.database, testThreads());
  const since = Date.parse(listed!.removedAt);
  expect(await shots.emptyOldBin(new Date(since + BIN_DAYS * DAY_MS))).toBe(0);
  expect(await inBin()).toEqual([id]);
  expect(await shots.emptyOldBin(new Date(since + BIN_DAYS * DAY_MS + 1000))).toBe(1);
  expect(await inBin()).toEqual([]);
});

test('the sound of a shot goes with it', async () => {
  const sha256 = createHash('sha256').update('a sound').digest('hex');
  await at.database.sounds.create({ sha256, type: 'audio/wav', seconds: 1, bytes: Buffer.from('a sound') });
  const sound = { sha256, type: 'audio/wav', name: 'a.wav', seconds: 1, startSeconds: 0 } as const;
  const id = await removed({ ...shotWith(), sound });
  await request(at.server).delete(`/api/removed-shots/${id}`).expect(204);
  expect(await at.database.sounds.findByPk(sha256)).toBeNull();
});
