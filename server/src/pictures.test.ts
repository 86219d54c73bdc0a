import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { deflateSync } from 'node:zlib';
import { freshShot } from '@humble/core';
import type { Express } from 'express';
import pino from 'pino';
import request from 'supertest';
import { createServer } from './createServer';
import { type Database, openDatabase } from './database/openDatabase';

let folder: string;
let database: Database;
let server: Express;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'humble-pictures-'));
  database = await openDatabase(folder);
  server = createServer({ database, appFolder: folder, log: pino({ level: 'silent' }) });
});

afterEach(async () => {
  await database.close();
  rmSync(folder, { recursive: true });
});

const CRC = Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

function chunk(name: string, data: Buffer): Buffer {
  const body = Buffer.concat([Buffer.from(name), data]);
  let crc = 0xffffffff;
  for (const byte of body) crc = CRC[(crc ^ byte) & 0xff]! ^ (crc >>> 8);
  const size = Buffer.alloc(4);
  size.writeUInt32BE(data.length);
  const sum = Buffer.alloc(4);
  sum.writeUInt32BE((crc ^ 0xffffffff) >>> 0);
  return Buffer.concat([size, body, sum]);
}

/** A real PNG of one tone. */
function png(width: number, height: number): Buffer {
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, 0, 0, 0, 0], 8);
  const rows = deflateSync(Buffer.alloc((width + 1) * height), { level: 9 });
  const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
  return Buffer.concat([signature, chunk('IHDR', head), chunk('IDAT', rows), chunk('IEND', Buffer.alloc(0))]);
}

/** Three by two pixels each, as a browser writes them. */
const JPEG =
  '/9j/4AAQSkZJRgABAQAAAQABAAD/2wBDAFA3PEY8MlBGQUZaVVBfeMiCeG5uePWvuZHI//////////////////////' +
  '//////////////////////////////2wBDAVVaWnhpeOuCguv/////////////////////////////////////////' +
  '////////////////////////////////wAARCAACAAMDASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAT/xA' +
  'AUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAAAP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAM' +
  'AwEAAhEDEQA/AIgAf//Z';
const WEBP =
  'UklGRkYAAABXRUJQVlA4WAoAAAAQAAAAAgAAAQAAQUxQSAcAAAAAAAAAAAAAAFZQOCAYAAAAMAEAnQEqAwACAAdAli' +
  'WkAANwAP7vuQAA';

const send = (bytes: Buffer | string, type = 'image/png') =>
  request(server)
    .post('/api/pictures')
    .set('content-type', type)
    .set('x-file-name', encodeURIComponent('Kai über.png'))
    .send(bytes as string);

const svg = (inside: string, attributes = 'width="40" height="30"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${attributes}>${inside}</svg>`;

const kept = async (): Promise<number> => database.pictures.count();

test('a picture is kept once, by its contents, and comes back as it went in', async () => {
  const bytes = png(30, 20);
  const { body } = await send(bytes).expect(201);
  expect(body).toMatchObject({ type: 'image/png', width: 30, height: 20, name: 'Kai über.png' });
  expect((await send(bytes).expect(201)).body.sha256).toBe(body.sha256);
  expect(await kept()).toBe(1);
  const back = await request(server).get(`/api/pictures/${body.sha256}`).expect(200);
  expect(back.body.equals(bytes)).toBe(true);
  expect(back.headers['content-type']).toBe('image/png');
  expect(back.headers['cache-control']).toMatch('immutable');
});

test('pictures and saves that come at the same time are all kept', async () => {
  const shot = freshShot({ name: 'Quay', rate: 12, lengthFrames: 21, width: 800, height: 600 });
  const { id } = (await request(server).post('/api/shots').send({ shot }).expect(201)).body;
  const save = async (): Promise<void> => {
    for (let revision = 1; revision <= 12; revision++)
      await request(server).put(`/api/shots/${id}`).send({ revision, shot }).expect(200);
  };
  const pictures = Array.from({ length: 12 }, (_, i) => send(png(10 + (i % 8), 10)).expect(201));
  await Promise.all([save(), ...pictures]);
  expect(await kept()).toBe(8);
});

test.each([
  ['image/jpeg', JPEG],
  ['image/webp', WEBP],
])('a picture of type %s is known by its bytes, and refused when it breaks off', async (type, base64) => {
  const bytes = Buffer.from(base64, 'base64');
  const { body } = await send(bytes, 'application/octet-stream').expect(201);
  expect(body).toMatchObject({ type, width: 3, height: 2 });
  const torn = await send(bytes.subarray(0, bytes.length - 20)).expect(422);
  expect(torn.body.detail).toMatch(/breaks off|damaged/);
  expect(await kept()).toBe(1);
});

test('what a file says it is does not count, what it is does', async () => {
  const { body } = await send(png(4, 4), 'text/html').expect(201);
  expect(body.type).toBe('image/png');
  const other = await send(Buffer.from('<html><script>1</script></html>'), 'image/png').expect(422);
  expect(other.body.detail).toBe('This is no PNG, JPEG, WebP or SVG.');
  expect((await send(Buffer.from([0, 1, 2, 3])).expect(422)).body.detail).toMatch('no PNG');
});

test('a picture of 60 megapixels gets a sentence and is not kept', async () => {
  const { body } = await send(png(10_000, 6_000)).expect(422);
  expect(body.detail).toBe('This picture has 60 megapixels; 40 are the most. Save it smaller.');
  expect(await kept()).toBe(0);
});

test('a file that breaks off gets a sentence and is not kept', async () => {
  const whole = png(200, 100);
  for (const length of [24, 40, whole.length - 20]) {
    const { body } = await send(whole.subarray(0, length)).expect(422);
    expect(body.detail).toMatch(/breaks off|damaged|no PNG/);
  }
  const jpeg = Buffer.from('ffd8ffe000104a46494600010100000100010000ffc0000b080010001001011100', 'hex');
  expect((await send(jpeg, 'image/jpeg').expect(422)).body.detail).toMatch(/breaks off|damaged/);
  expect(await kept()).toBe(0);
});

test('an SVG that is a drawing is kept, and a browser sent to it runs nothing', async () => {
  const drawing = svg('<path d="M0 0L40 30"/><a href="#p"/><style>.x{fill:url(#g)}</style>');
  const { body } = await send(drawing, 'image/svg+xml').expect(201);
  expect(body).toMatchObject({ type: 'image/svg+xml', width: 40, height: 30 });
  const { headers } = await request(server).get(`/api/pictures/${body.sha256}`).expect(200);
  expect(headers['content-security-policy']).toMatch("default-src 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
});

test.each([
  ['a script', svg('<script>alert(1)</script>'), 'script'],
  ['a handler', svg('<rect onload="alert(1)"/>'), 'script'],
  ['a script address', svg('<a xlink:href=" javascript:alert(1)"/>'), 'script'],
  ['a foreign part', svg('<foreignObject><p>hi</p></foreignObject>'), 'no drawing'],
  ['an outside picture', svg('<image href="https://example.org/a.png"/>'), 'outside'],
  ['an outside part', svg('<use xlink:href="other.svg#a"/>'), 'outside'],
  ['an outside style', svg('<style>@import url("https://example.org/a.css")</style>'), 'outside'],
  ['a hidden import', svg('<style>@im\\70ort "a.css"</style>'), 'outside'],
  ['an outside fill', svg('<rect fill="url(http://example.org/#a)"/>'), 'outside'],
  ['entities', `<!DOCTYPE svg [<!ENTITY a "aaaa">]>${svg('&a;')}`, 'entities'],
  ['no size', svg('<path d="M0 0"/>', ''), 'how large'],
  ['a missing end', svg('<g>').replace('</svg>', ''), 'not whole'],
])('an SVG with %s is refused with a sentence', async (_, text, what) => {
  const { body } = await send(text, 'image/svg+xml').expect(422);
  expect(body.detail).toMatch(what);
  expect(body.detail).toMatch(/^This SVG .*\.$/);
  expect(await kept()).toBe(0);
});

test('an address that names no picture is said to be empty', async () => {
  await request(server)
    .get(`/api/pictures/${'0'.repeat(64)}`)
    .expect(404);
  await request(server).get('/api/pictures/nonsense').expect(400);
});
