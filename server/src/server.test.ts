import { mkdirSync, writeFileSync } from 'node:fs';
import { type AddressInfo, connect } from 'node:net';
import type { Express } from 'express';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { edits, freshShot, type Shot } from '@humble/core';
import request from 'supertest';
import { startTestServer, testThreads, type TestServer } from './testing/testServer';
import { securityHeaderValues } from './http/securityHeaders';
import { answerUnreadable } from './http/unreadable';
import { loadDemo } from './loadDemo';
import { createPictureService } from './services/pictureService';
import { createSoundService } from './services/soundService';
import { createShotService } from './services/shotService';

const still = { x: 0, y: 0 };
const shot: Shot = edits.drawArc(
  freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 }),
  {
    points: [
      { x: 0, y: 300, in: still, out: { x: 100, y: 0 }, kind: 'smooth' },
      { x: 700, y: 300, in: { x: -100, y: 50 }, out: still, kind: 'smooth' },
    ],
  },
);

let at: TestServer;

beforeEach(async () => {
  at = await startTestServer();
  writeFileSync(join(at.folder, 'index.html'), '<title>Humble Pendulum</title>');
});

afterEach(() => at.close());

const create = async (): Promise<string> =>
  (await request(at.server).post('/api/shots').send({ shot }).expect(201)).body.id;

describe('shots', () => {
  test('are created, listed with their picture, and read', async () => {
    const id = await create();
    const { body: list } = await request(at.server).get('/api/shots').expect(200);
    expect(list.shots).toHaveLength(1);
    expect(list.shots[0]).toMatchObject({ id, revision: 1, name: 'Quay', lengthFrames: 21, rate: 12 });
    expect(list.shots[0].card.ghosts).toHaveLength(6);
    const { body } = await request(at.server).get(`/api/shots/${id}`).expect(200);
    expect(body).toMatchObject({ id, revision: 1, shot });
  });

  test('a save names its revision, and the one changed last comes first', async () => {
    const first = await create();
    await create();
    const renamed = edits.renameShot(shot, { name: 'Steps' });
    const { body } = await request(at.server)
      .put(`/api/shots/${first}`)
      .send({ revision: 1, shot: renamed })
      .expect(200);
    expect(body.revision).toBe(2);
    const { body: list } = await request(at.server).get('/api/shots');
    expect(list.shots.map((s: { name: string }) => s.name)).toEqual(['Steps', 'Quay']);
  });

  test('a stale save is refused with the current document, which stays', async () => {
    const id = await create();
    const mine = edits.renameShot(shot, { name: 'Mine' });
    const theirs = edits.renameShot(shot, { name: 'Theirs' });
    await request(at.server).put(`/api/shots/${id}`).send({ revision: 1, shot: theirs }).expect(200);
    const { body, headers } = await request(at.server)
      .put(`/api/shots/${id}`)
      .send({ revision: 1, shot: mine })
      .expect(409);
    expect(headers['content-type']).toMatch('application/problem+json');
    expect(body).toMatchObject({ status: 409, current: { revision: 2, shot: { name: 'Theirs' } } });
    expect((await request(at.server).get(`/api/shots/${id}`)).body.shot.name).toBe('Theirs');
  });

  test('of many saves on one revision exactly one is taken', async () => {
    const id = await create();
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, i) =>
        request(at.server)
          .put(`/api/shots/${id}`)
          .send({ revision: 1, shot: edits.renameShot(shot, { name: `N${i}` }) }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409, 409, 409, 409, 409]);
  });

  test('a duplicate has its own life and a name that tells', async () => {
    const id = await create();
    const { body } = await request(at.server).post(`/api/shots/${id}/duplicate`).expect(201);
    expect(body.shot.name).toBe('Quay copy');
    expect(body.id).not.toBe(id);
    const long = await request(at.server)
      .post('/api/shots')
      .send({ shot: { ...shot, name: 'x'.repeat(120) } });
    await request(at.server).post(`/api/shots/${long.body.id}/duplicate`).expect(201);
  });

  test('a removed shot leaves the list, cannot be saved, and comes back whole', async () => {
    const id = await create();
    await request(at.server).delete(`/api/shots/${id}`).expect(204);
    await request(at.server).delete(`/api/shots/${id}`).expect(204);
    expect((await request(at.server).get('/api/shots')).body.shots).toEqual([]);
    await request(at.server).get(`/api/shots/${id}`).expect(410);
    await request(at.server).put(`/api/shots/${id}`).send({ revision: 1, shot }).expect(410);
    await request(at.server).post(`/api/shots/${id}/restore`).expect(200);
    expect((await request(at.server).get(`/api/shots/${id}`)).body).toMatchObject({ revision: 1, shot });
  });

  test('are still there when the database is opened again', async () => {
    const id = await create();
    at = await at.restart();
    expect((await request(at.server).get(`/api/shots/${id}`)).body.shot).toEqual(shot);
  });
});

describe('a bad request gets a problem, never a server error', () => {
  const damaged = { ...shot, moves: [{ ...shot.moves[0], arcId: 'gone' }] };

  test.each<[string, number, (server: Express) => request.Test]>([
    ['half a body', 400, (s) => request(s).post('/api/shots').type('json').send('{"shot": {')],
    ['a body of null', 400, (s) => request(s).post('/api/shots').type('json').send('null')],
    ['a body of text', 415, (s) => request(s).post('/api/shots').type('text').send('hello')],
    [
      'an unknown charset',
      415,
      (s) => request(s).post('/api/shots').set('Content-Type', 'application/json; charset=x-none').send('{}'),
    ],
    [
      'a body too large',
      413,
      (s) =>
        request(s)
          .post('/api/shots')
          .send({ shot: 'x'.repeat(9_000_000) }),
    ],
    ['nothing in the body', 400, (s) => request(s).post('/api/shots').send({})],
    [
      'another document',
      422,
      (s) =>
        request(s)
          .post('/api/shots')
          .send({ shot: { hello: 1 } }),
    ],
    ['a damaged shot', 422, (s) => request(s).post('/api/shots').send({ shot: damaged })],
    ['no revision', 400, (s) => request(s).put('/api/shots/abc').send({ shot })],
    ['an unknown shot', 404, (s) => request(s).get('/api/shots/abc')],
    ['removing an unknown shot', 404, (s) => request(s).delete('/api/shots/abc')],
    ['an id that is none', 400, (s) => request(s).get('/api/shots/a%20b')],
    ['a broken escape', 400, (s) => request(s).get('/api/shots/%E0%A4%A')],
    ['an unknown address', 404, (s) => request(s).get('/api/films')],
    ['another host name', 403, (s) => request(s).get('/api/shots').set('Host', 'evil.example')],
    [
      'a page from elsewhere',
      403,
      (s) => request(s).post('/api/shots').set('Sec-Fetch-Site', 'cross-site').send({ shot }),
    ],
    [
      'a page of another port by what the browser says',
      403,
      (s) => request(s).post('/api/shots').set('Sec-Fetch-Site', 'same-site').send({ shot }),
    ],
    [
      'a page of another port by its origin',
      403,
      (s) => request(s).post('/api/shots').set('Origin', 'http://127.0.0.1:1').send({ shot }),
    ],
    [
      'a picture from another port',
      403,
      (s) => request(s).post('/api/pictures').set('Origin', 'http://localhost:1').send('x'),
    ],
    [
      'a page without an origin',
      403,
      (s) => request(s).post('/api/shots/abc/duplicate').set('Origin', 'null'),
    ],
  ])('%s: %d', async (_, status, send) => {
    const { body, headers } = await send(at.server).expect(status);
    expect(headers['content-type']).toMatch('application/problem+json');
    expect(body).toMatchObject({ status });
    expect(body.detail).toMatch(/^[A-Z].*\.$/);
  });

  test('more requests than allowed are told to wait', async () => {
    const strict = await startTestServer({ requestsPerMinute: 2 });
    await request(strict.server).get('/api/health').expect(200);
    await request(strict.server).get('/api/health').expect(200);
    await request(strict.server).get('/api/health').expect(429);
    // A loop of many pictures is no flood: each is asked for once.
    for (const size of ['', '', '/small'])
      await request(strict.server)
        .get(`/api/pictures/${'f'.repeat(64)}${size}`)
        .expect(404);
    await strict.close();
  });
});

describe('the headers that browsers hold to', () => {
  const NAMES = Object.keys(securityHeaderValues()).map((name) => name.toLowerCase());

  test('there are some', () =>
    expect(NAMES).toEqual(expect.arrayContaining(['content-security-policy', 'x-content-type-options'])));

  test.each([
    ['a page', (server: TestServer['server']) => request(server).get('/'), 200],
    ['data', (server: TestServer['server']) => request(server).get('/api/shots'), 200],
    ['nothing there', (server: TestServer['server']) => request(server).get('/api/none'), 404],
    [
      'a foreign host',
      (server: TestServer['server']) => request(server).get('/').set('Host', 'example.org'),
      403,
    ],
    [
      'a foreign page',
      (server: TestServer['server']) =>
        request(server).post('/api/shots').set('Origin', 'http://example.org').send({}),
      403,
    ],
    [
      'a wrong body',
      (server: TestServer['server']) => request(server).post('/api/shots').send({ shot: 1 }),
      400,
    ],
    [
      'no JSON',
      (server: TestServer['server']) => request(server).post('/api/shots').type('text').send('x'),
      415,
    ],
    ['a missing file', (server: TestServer['server']) => request(server).get('/_expo/static/gone.js'), 404],
  ])('are on the answer to %s', async (_, ask, status) => {
    const response = await ask(at.server);
    expect(response.status).toBe(status);
    for (const name of NAMES) expect([name, name in response.headers]).toEqual([name, true]);
  });

  test('are on what Node refuses before the application sees it', async () => {
    const server = at.server.listen(0);
    answerUnreadable(server);
    const { port } = server.address() as AddressInfo;
    const said = (text: string): Promise<string> =>
      new Promise((resolve) => {
        const socket = connect(port, '127.0.0.1', () => socket.end(text));
        let answer = '';
        socket
          .on('data', (data) => (answer += String(data)))
          .on('close', () => resolve(answer.toLowerCase()));
      });
    for (const text of ['nonsense\r\n\r\n', 'GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nExpect: tea\r\n\r\n']) {
      const answer = await said(text);
      expect(answer).toMatch(/^http\/1\.1 4\d\d /);
      for (const name of NAMES) expect(answer).toContain(`\r\n${name}: `);
    }
    await new Promise((resolve) => server.close(resolve));
  });
});

describe('the application', () => {
  test('is served for every page, with a strict content policy, and not for missing files', async () => {
    const { text, headers } = await request(at.server).get('/shot/abc').expect(200);
    expect(text).toMatch('Humble Pendulum');
    expect(headers['content-security-policy']).toMatch("script-src 'self'");
    await request(at.server).get('/_expo/static/gone.js').expect(404);
  });

  test('sends what the build has packed to whoever takes it packed, and the file itself to others', async () => {
    const code = 'console.log("packed");';
    mkdirSync(join(at.folder, '_expo'));
    writeFileSync(join(at.folder, '_expo/app.js'), code);
    writeFileSync(join(at.folder, '_expo/app.js.gz'), gzipSync(`${code} // from the packed copy`));
    const taken = await request(at.server).get('/_expo/app.js').set('Accept-Encoding', 'gzip').expect(200);
    expect(taken.headers).toMatchObject({
      'content-encoding': 'gzip',
      'cache-control': expect.stringMatching('immutable'),
    });
    expect(taken.headers['content-type']).toMatch('javascript');
    expect(taken.text).toMatch('from the packed copy');
    const plain = await request(at.server)
      .get('/_expo/app.js')
      .set('Accept-Encoding', 'identity')
      .expect(200);
    expect(plain.text).toBe(code);
    await request(at.server).get('/_expo/..%2f..%2fetc/passwd.js').set('Accept-Encoding', 'gzip').expect(404);
  });

  test('the demo film is put in once, and what was removed stays removed', async () => {
    const service = createShotService(at.database, testThreads());
    const demo = join(__dirname, '../../demo');
    const services = {
      shots: service,
      pictures: createPictureService(at.database, testThreads()),
      sounds: createSoundService(at.database, testThreads()),
    };
    await loadDemo(services, demo);
    const names = (await service.list()).map((entry) => entry.name);
    expect(names).toEqual(expect.arrayContaining(['Lantern on the hook', 'Rounds of the harbour master']));
    await service.remove('demo-lantern-on-the-hook');
    await loadDemo(services, demo);
    expect(await service.list()).toHaveLength(names.length - 1);
  });
});
