import {
  createWriteStream,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { edits, freshShot, type Shot } from '@humble/core';
import { readShotFile } from '@humble/core/files';
import type { AnswerOf } from '@humble/core/contract';
import request from 'supertest';
import sharp from 'sharp';
import { copyOfToday } from '../database/dailyCopies';
import { holdFolder } from '../database/holdFolder';
import { openDatabase } from '../database/openDatabase';
import { openSqlite } from '../database/plainSqlite';
import { startTestServer, type TestServer } from '../testing/testServer';
import { clearWork } from './backupService';
import { goOnWithLastCopy } from './lastCopy';
import { openBackup } from './readBackup';
import { verifyDatabase } from './verifyDatabase';
import { writeBackup } from './writeBackup';

type Shown = AnswerOf<'lookAtBackup'>;

let at: TestServer;
let folder: string;

beforeEach(async () => {
  at = await startTestServer();
  folder = mkdtempSync(join(tmpdir(), 'humble-backup-test-'));
});

afterEach(async () => {
  await at.close();
  rmSync(folder, { recursive: true });
});

const fresh = freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 400, height: 300 });
const named = (name: string, shot: Shot = fresh): Shot => edits.renameShot(shot, { name });

async function created(shot: Shot): Promise<string> {
  const { body } = await request(at.server).post('/api/shots').send({ shot });
  return (body as { readonly id: string }).id;
}

const saved = (id: string, revision: number, shot: Shot) =>
  request(at.server).put(`/api/shots/${id}`).send({ revision, shot }).expect(200);

const bytesOfBackup = async (): Promise<Buffer> => {
  const { body } = await request(at.server)
    .get('/api/backup')
    .buffer(true)
    .parse((response, done) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk: Buffer) => chunks.push(chunk));
      response.on('end', () => done(null, Buffer.concat(chunks)));
    })
    .expect(200)
    .expect('content-type', 'application/zip');
  return body as Buffer;
};

const lookedAt = async (bytes: Buffer): Promise<Shown> =>
  (await request(at.server).post('/api/backups').send(bytes).expect(201)).body as Shown;

const names = async (): Promise<string[]> =>
  ((await request(at.server).get('/api/shots')).body as { shots: { name: string }[] }).shots
    .map(({ name }) => name)
    .sort();

const checkDocument = (text: string) => Promise.resolve().then(() => readShotFile(text));

/** A shot with an earlier revision and a picture. */
async function somethingToKeep(): Promise<string> {
  const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#a00' } })
    .png()
    .toBuffer();
  const { body } = await request(at.server).post('/api/pictures').set('x-file-name', 'red.png').send(png);
  const { note: _, ...picture } = body as { note: string };
  const id = await created(named('Crab’s “way” / 1'));
  const taken = edits.takePicture(named('Crab’s “way” / 1'), { picture } as never);
  await saved(id, 1, taken);
  return id;
}

test('a backup says what it holds before anything is changed, and has all of it as open files, too', async () => {
  await somethingToKeep();
  const bytes = await bytesOfBackup();
  const listed = bytes.toString('latin1').match(/(shots|pictures)\/[\w-]+\.(json|png)/g)!;
  expect([...new Set(listed)].map((name) => name.replace(/[0-9a-f]{64}|-[\w-]{12}\./, '*'))).toEqual([
    'shots/Crab-s-way-1*json',
    'pictures/*.png',
  ]);
  await created(named('Later'));
  const shown = await lookedAt(bytes);
  expect(shown).toMatchObject({ removedShots: 0, revisions: 2, pictures: 1, sounds: 0, faults: [] });
  expect(shown.shots.map(({ name }) => name)).toEqual(['Crab’s “way” / 1']);
  expect(new Date(shown.madeAt!).valueOf()).toBeGreaterThan(Date.now() - 60_000);
  expect(await names()).toEqual(['Crab’s “way” / 1', 'Later']);
});

test('beside what is there: what is new comes, what is the same stays, what has changed comes under another name', async () => {
  const id = await somethingToKeep();
  const gone = await created(named('Gone'));
  const same = await created(named('Same'));
  await saved(gone, 1, named('Gone', edits.setLength(fresh, { lengthFrames: 96 })));
  const bytes = await bytesOfBackup();
  await saved(id, 2, named('Crab, later'));
  await request(at.server).delete(`/api/shots/${gone}`);
  await request(at.server).delete(`/api/removed-shots/${gone}`).expect(204);
  const { id: backup } = await lookedAt(bytes);
  const { body } = await request(at.server)
    .post(`/api/backups/${backup}/restore`)
    .send({ way: 'beside' })
    .expect(200);
  expect(body).toEqual({ added: 1, renamed: 1, same: 1, setAside: null });
  expect(await names()).toEqual([
    'Crab, later',
    expect.stringMatching(/^Crab’s “way” \/ 1 \(backup of \d+ \w+ \d{4}\)$/),
    'Gone',
    'Same',
  ]);
  // What came back has its history, and can be opened and saved.
  const history = await request(at.server).get(`/api/shots/${gone}/revisions/before/99`);
  expect((history.body as { count: number }).count).toBe(2);
  await saved(gone, 2, named('Gone on'));
  expect((await request(at.server).get(`/api/shots/${same}`)).status).toBe(200);
  const shots = (await request(at.server).get('/api/shots')).body as {
    shots: { id: string; name: string }[];
  };
  const renamed = shots.shots.find(({ name }) => name.startsWith('Crab’s'))!;
  const opened = (await request(at.server).get(`/api/shots/${renamed.id}`).expect(200)).body as {
    shot: Shot;
  };
  expect(opened.shot.name).toBe(renamed.name);
});

test('instead of what is there: all of it is what it was, and what was there before is set aside', async () => {
  const id = await somethingToKeep();
  const bytes = await bytesOfBackup();
  await saved(id, 2, named('Changed'));
  await created(named('Later'));
  const { id: backup } = await lookedAt(bytes);
  const { body } = await request(at.server)
    .post(`/api/backups/${backup}/restore`)
    .send({ way: 'instead' })
    .expect(200);
  expect(body).toMatchObject({ added: 1, renamed: 0, same: 0 });
  expect(await names()).toEqual(['Crab’s “way” / 1']);
  const aside = await openSqlite(join(at.folder, 'copies', (body as { setAside: string }).setAside));
  expect(await aside.rows('SELECT name FROM shots ORDER BY name')).toEqual([
    { name: 'Changed' },
    { name: 'Later' },
  ]);
  await aside.close();
  // It is at hand once.
  await request(at.server).post(`/api/backups/${backup}/restore`).send({ way: 'instead' }).expect(404);
  expect(readdirSync(at.folder).filter((name) => name.startsWith('.backup-'))).toEqual([]);
});

test.each([
  ['nothing', Buffer.alloc(0)],
  ['a text', Buffer.from('Dear diary')],
  ['a ZIP file of something else', Buffer.from('504b0506000000000000000000000000000000000000', 'hex')],
])('%s is no backup, which is said, and nothing is left of it', async (_, bytes) => {
  const { body } = await request(at.server).post('/api/backups').send(bytes).expect(422);
  expect((body as { detail: string }).detail).toBe('This file isn’t a backup of Humble Pendulum.');
  expect(readdirSync(at.folder).filter((name) => name.startsWith('.backup-'))).toEqual([]);
});

test('a backup that has changed on its way is refused, wherever that is', async () => {
  await somethingToKeep();
  const bytes = await bytesOfBackup();
  const at1 = bytes.indexOf('humble-pendulum.sqlite') + 400;
  const flipped = Buffer.from(bytes);
  flipped[at1] = flipped[at1]! ^ 0xff;
  for (const broken of [flipped, bytes.subarray(0, bytes.length - 40), bytes.subarray(0, 900)]) {
    const { body } = await request(at.server).post('/api/backups').send(broken).expect(422);
    expect((body as { detail: string }).detail).toMatch(/^This (backup is damaged|file isn’t a backup)/);
  }
});

test('what is wrong inside is named: a picture, a history, a shot', async () => {
  const id = await somethingToKeep();
  await created(named('Torn'));
  const file = join(folder, 'copy.sqlite');
  await at.database.copyInto(file);
  const copy = await openSqlite(file, 'write');
  await copy.exec(`UPDATE pictures SET bytes = x'00'; UPDATE shots SET document = '{' WHERE name = 'Torn';
    DELETE FROM revisions WHERE shotId = '${id}' AND revision = 1;`);
  await copy.close();
  const { faults } = await verifyDatabase(file, checkDocument);
  expect(faults).toHaveLength(3);
  expect(faults.join('\n')).toMatch(/“Torn” cannot be read: .*\n/);
  expect(faults.join('\n')).toContain('The history of “Crab’s “way” / 1” is damaged after the first one.');
  expect(faults.join('\n')).toMatch(/The picture [0-9a-f]{12}… is damaged\./);
});

test('a copy of a day is looked at and restored like a backup', async () => {
  await created(named('Kept'));
  await copyOfToday(at.folder, at.database, new Date(2026, 10, 3, 12));
  const { body: listed } = await request(at.server).get('/api/copies').expect(200);
  expect(listed).toEqual({ days: ['2026-11-03'] });
  const { body } = await request(at.server).post('/api/copies/2026-11-03').expect(201);
  expect((body as Shown).shots.map(({ name }) => name)).toEqual(['Kept']);
  await request(at.server)
    .delete(`/api/backups/${(body as Shown).id}`)
    .expect(204);
  await request(at.server).post('/api/copies/2026-11-04').expect(404);
});

test('a backup of a newer version is refused by a sentence', async () => {
  const file = join(folder, 'newer.sqlite');
  await at.database.copyInto(file);
  const copy = await openSqlite(file, 'write');
  await copy.exec("INSERT INTO SequelizeMeta VALUES ('999-later')");
  await copy.close();
  const { body } = await request(at.server).post('/api/backups').send(readFileSync(file)).expect(422);
  expect((body as { detail: string }).detail).toMatch(/made by a newer version of Humble Pendulum/);
});

test('what is written while a backup is read back is still whole, and a broken-off work folder is cleared', async () => {
  await created(named('One'));
  const file = join(folder, 'all.zip');
  await Promise.all([
    writeBackup({ dataFolder: at.folder, copyInto: at.database.copyInto }, createWriteStream(file)),
    created(named('Two')),
  ]);
  const { database, madeAt } = await openBackup(file, folder);
  expect(madeAt).not.toBeNull();
  expect((await verifyDatabase(database, checkDocument)).faults).toEqual([]);
  mkdtempSync(join(at.folder, '.backup-'));
  clearWork(at.folder);
  expect(readdirSync(at.folder).filter((name) => name.startsWith('.backup-'))).toEqual([]);
});

test('a folder that one program has is refused to the next, by name, until it is let go', async () => {
  const held = await holdFolder(folder, 'a server (process 7, port 4270)');
  await expect(holdFolder(folder, 'another')).rejects.toThrow(
    /is in use by a server \(process 7, port 4270\)\. Stop that first/,
  );
  await held.release();
  await (await holdFolder(folder, 'another')).release();
});

test('damaged data: the last copy takes its place, what was there is set aside, and what is missing is named', async () => {
  const data = await openDatabase(folder);
  const row = (id: string, revision: number, name: string) => ({
    id,
    revision,
    name,
    document: '{}',
    film: '',
    lengthFrames: 9,
    rate: 24,
    card: '',
    cardVersion: 0,
    rank: null,
    removedAt: null,
  });
  await data.shots.bulkCreate([row('a', 1, 'Kept'), row('b', 1, 'Changed')]);
  await copyOfToday(folder, data, new Date(2026, 10, 9, 12));
  await data.shots.update({ revision: 2 }, { where: { id: 'b' } });
  await data.shots.create(row('c', 1, 'New'));
  await data.close();
  const sentences = await goOnWithLastCopy(folder);
  expect(sentences[0]).toMatch(/^The copy of 2026-11-09 is in place\./);
  expect(sentences[1]).toBe('Changed since then: “New”, “Changed”.');
  const again = await openDatabase(folder);
  expect((await again.shots.findAll({ order: ['id'] })).map(({ name }) => name)).toEqual(['Kept', 'Changed']);
  await again.close();
  expect(readdirSync(folder).some((name) => name.startsWith('humble-pendulum.set-aside-'))).toBe(true);
  writeFileSync(join(folder, 'copies/humble-pendulum-2026-11-09.sqlite'), 'torn');
  await expect(goOnWithLastCopy(folder)).rejects.toThrow(/is damaged/);
  expect(existsSync(join(folder, 'humble-pendulum.sqlite'))).toBe(true);
});
