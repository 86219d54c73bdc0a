import { MAX_SOUND_BYTES } from '@humble/core';
import { knocks, silentMp3, waveFile } from '@humble/core/testing/soundFiles';
import request from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
});

afterEach(() => at.close());

const WAVE = Buffer.from(waveFile(1.5, 8000, knocks([{ seconds: 0.5, loud: 1 }])));
const MP3 = Buffer.from(silentMp3(1));

const send = (bytes: Buffer, name = 'knock.wav') =>
  request(at.server)
    .post('/api/sounds')
    .set('content-type', 'audio/wav')
    .set('x-file-name', encodeURIComponent(name))
    .send(bytes);

interface Kept {
  readonly sha256: string;
  readonly seconds: number;
}

test('a sound is judged by its bytes, kept once, and comes back as it was, after a restart too', async () => {
  const { status, body } = await send(WAVE, 'Dull knöck.wav');
  expect([status, body]).toMatchObject([201, { type: 'audio/wav', name: 'Dull knöck.wav', seconds: 1.5 }]);
  await send(WAVE);
  expect(await at.database.sounds.count()).toBe(1);
  const again = await at.restart();
  const { sha256 } = body as Kept;
  const { body: bytes, headers } = await request(again.server).get(`/api/sounds/${sha256}`).buffer();
  expect(Buffer.compare(bytes as Buffer, WAVE)).toBe(0);
  expect(headers['content-type']).toBe('audio/wav');
  at = again;
});

test('an MP3 is known as one, with a tag before it and under a wrong name, too', async () => {
  const tag = Buffer.from([0x49, 0x44, 0x33, 4, 0, 0, 0, 0, 0, 10, ...Array<number>(10).fill(0)]);
  for (const bytes of [MP3, Buffer.concat([tag, MP3])]) {
    const { body, status } = await send(bytes, 'not.wav');
    expect([status, body]).toMatchObject([201, { type: 'audio/mpeg' }]);
    expect((body as Kept).seconds).toBeCloseTo(1, 1);
  }
});

const wrongSizes = Buffer.from(WAVE);
wrongSizes.writeUInt32LE(0xffffffff, 40);
const noChannels = Buffer.from(WAVE);
noChannels.writeUInt16LE(0, 22);

test.each<[string, Buffer, string]>([
  ['text', Buffer.from('RIFF or not, this is text'), 'This is no WAV or MP3.'],
  ['a picture', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]), 'This is no WAV or MP3.'],
  ['half a WAV', WAVE.subarray(0, 5000), 'Part of this WAV is missing.'],
  ['a WAV that promises more', wrongSizes, 'Part of this WAV is missing.'],
  ['a WAV without channels', noChannels, ''],
  ['one of no length', Buffer.from(waveFile(0, 8000, () => 0)), 'There is no sound in this file.'],
  ['the beginning of an MP3', MP3.subarray(0, 3), ''],
])('%s is refused with a sentence, and nothing is kept', async (_, bytes, sentence) => {
  const { status, body } = await send(bytes);
  expect([status, body]).toMatchObject([422, { detail: expect.stringContaining(sentence) as string }]);
  expect(await at.database.sounds.count()).toBe(0);
});

test('one that is too heavy, or empty, is refused; an unknown one is not there', async () => {
  expect((await send(Buffer.alloc(MAX_SOUND_BYTES + 1))).status).toBe(413);
  expect((await send(Buffer.alloc(0))).status).toBe(400);
  expect((await request(at.server).get(`/api/sounds/${'0'.repeat(64)}`)).status).toBe(404);
});
