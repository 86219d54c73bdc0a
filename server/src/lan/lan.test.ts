import express, { type Express } from 'express';
import request from 'supertest';
import { StartError } from '../database/startError';
import { startTestServer, type TestServer } from '../testing/testServer';
import { createLan, type Lan, passphraseFrom } from './lan';
import { createSessions } from './sessions';

const PASSPHRASE = 'low tide at seven';

let at: TestServer;
let lan: Lan;
/** The server as a phone of the local network reaches it. */
let phone: Express;

/** Requests as if they came over a connection from elsewhere. */
function from(address: string, server: Express): Express {
  const outside = express();
  outside.use((incoming, _response, next) => {
    Object.defineProperty(incoming.socket, 'remoteAddress', { value: address, configurable: true });
    next();
  }, server);
  return outside;
}

beforeEach(async () => {
  lan = createLan(PASSPHRASE, () => 4270);
  at = await startTestServer({ lan });
  phone = from('192.168.1.20', at.server);
});

afterEach(() => at.close());

const pair = (proof: object, server: Express = phone) =>
  request(server).post('/api/pairings').send({ proof, name: 'Phone' });

const cookieOf = (answer: { readonly headers: Readonly<Record<string, unknown>> }): string =>
  (answer.headers['set-cookie'] as string[])[0]!;

test('a device that is not paired gets nothing, and is led to where it can be', async () => {
  expect((await request(phone).get('/api/shots')).body).toMatchObject({ type: '/problems/not-paired' });
  expect((await request(phone).get('/api/shots')).status).toBe(401);
  expect((await request(phone).get('/api/pictures/' + 'a'.repeat(64))).status).toBe(401);
  const page = await request(phone).get('/shot/anything');
  expect([page.status, page.headers.location]).toEqual([302, '/pair']);
  expect((await request(phone).get('/api/session')).body).toEqual({ isPaired: false });
});

test('the computer itself needs no pairing', async () => {
  expect((await request(at.server).get('/api/shots')).status).toBe(200);
  expect((await request(at.server).get('/api/session')).body).toEqual({ isPaired: true });
});

test('the passphrase pairs a device; its cookie is strict, and no script reads it', async () => {
  const answer = await pair({ passphrase: PASSPHRASE });
  expect(answer.status).toBe(204);
  const cookie = cookieOf(answer);
  expect(cookie).toMatch(/^humble-device=[\w-]{32}; Path=\/; HttpOnly; SameSite=Strict; Max-Age=\d+$/);
  const shots = await request(phone).get('/api/shots').set('Cookie', cookie.split(';')[0]!);
  expect(shots.status).toBe(200);
});

test('a code pairs one device, once', async () => {
  const code = lan.sessions.freshCode();
  expect((await pair({ code })).status).toBe(204);
  const again = await pair({ code });
  expect([again.status, (again.body as { detail: string }).detail]).toEqual([
    401,
    'This code was used, or is too old. Scan a fresh one, or type the passphrase.',
  ]);
});

test('a code is too old after five minutes', () => {
  let now = 0;
  const sessions = createSessions(PASSPHRASE, () => now);
  const code = sessions.freshCode();
  now = 5 * 60_000;
  expect(() => sessions.pair({ code }, 'here', 'Phone')).toThrow('too old');
});

test('wrong passphrases are refused, and after five of them all tries for a while', () => {
  let now = 0;
  const sessions = createSessions(PASSPHRASE, () => now);
  const tried = (passphrase: string) => () => sessions.pair({ passphrase }, '192.168.1.20', 'Phone');
  for (let i = 0; i < 5; i++) expect(tried(`guess ${i}`)).toThrow('not the passphrase');
  expect(tried(PASSPHRASE)).toThrow('Too many wrong tries');
  expect(() => sessions.pair({ passphrase: PASSPHRASE }, '192.168.1.21', 'Tablet')).not.toThrow();
  now = 10 * 60_000;
  expect(tried(PASSPHRASE)).not.toThrow();
});

test('devices are listed and ended at the computer itself, and nowhere else', async () => {
  const cookie = cookieOf(await pair({ passphrase: PASSPHRASE })).split(';')[0]!;
  const [device] = lan.sessions.list();
  expect((await request(phone).get('/api/pairing').set('Cookie', cookie)).status).toBe(403);
  expect((await request(phone).delete(`/api/devices/${device!.id}`).set('Cookie', cookie)).status).toBe(403);
  expect((await request(at.server).delete(`/api/devices/${device!.id}`)).status).toBe(204);
  expect((await request(phone).get('/api/shots').set('Cookie', cookie)).status).toBe(401);
});

test('a change from a foreign page is refused, with the cookie, too', async () => {
  const cookie = cookieOf(await pair({ passphrase: PASSPHRASE })).split(';')[0]!;
  const foreign = await request(phone)
    .post('/api/demo')
    .set('Cookie', cookie)
    .set('Origin', 'http://elsewhere.example')
    .send({});
  expect(foreign.status).toBe(403);
  const rebound = await request(phone).get('/api/shots').set('Cookie', cookie).set('Host', 'evil.example');
  expect(rebound.status).toBe(403);
});

test('without --lan what comes from elsewhere is refused, whatever it brings', async () => {
  const alone = await startTestServer();
  try {
    const answer = await request(from('192.168.1.20', alone.server)).get('/api/shots');
    expect([answer.status, (answer.body as { type: string }).type]).toEqual([403, '/problems/not-from-here']);
    expect((await pair({ passphrase: PASSPHRASE }, from('192.168.1.20', alone.server))).status).toBe(403);
  } finally {
    await alone.close();
  }
});

test('a passphrase is made up where none is given, and a short one refused', () => {
  expect(passphraseFrom(undefined)).toMatch(/^[a-z2-9]{4}(-[a-z2-9]{4}){2}$/);
  expect(passphraseFrom(undefined)).not.toBe(passphraseFrom(undefined));
  expect(() => passphraseFrom('1234567')).toThrow(StartError);
});
