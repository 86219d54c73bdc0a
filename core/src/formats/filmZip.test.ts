import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { edits } from '../edits/edits';
import { freshShot } from '../model/freshShot';
import type { Shot } from '../model/schema';
import { readFilmZip, writeFilmZip } from './filmZip';
import { isZip } from './importKinds';

const sha = 'ab'.repeat(32);
const picture = { sha256: sha, type: 'image/png', name: 'quay.png', width: 4, height: 3 } as const;

const soundSha = 'cd'.repeat(32);
const sound = {
  sha256: soundSha,
  type: 'audio/wav',
  name: 'bell.wav',
  seconds: 2,
  startSeconds: 0,
} as const;

const shot = (name: string): Shot => {
  const empty = freshShot({ name, rate: 12, lengthFrames: 48, width: 1920, height: 1080, film: 'Low Tide' });
  return edits.setSound(edits.putBackdrop(empty, { pictures: [picture] }), { sound });
};

const film = {
  name: 'Low Tide',
  shots: [shot('Lantern on the hook'), shot('Eel / under: the “jetty”')],
  pictures: new Map([[sha, new Uint8Array([1, 2, 3])]]),
  sounds: new Map([[soundSha, new Uint8Array([4, 5])]]),
};

test('a film comes back as it went, in order, with each picture and sound once', () => {
  const bytes = writeFilmZip(film);
  expect(isZip(bytes)).toBe(true);
  expect(Object.keys(unzipSync(bytes)).sort()).toEqual([
    'film.json',
    `pictures/${sha}.png`,
    'shots/01-lantern-on-the-hook.json',
    'shots/02-eel-under-the-jetty.json',
    `sounds/${soundSha}.wav`,
  ]);
  const back = readFilmZip(bytes);
  expect(back.shots).toEqual(film.shots);
  expect([back.name, [...back.pictures]]).toEqual(['Low Tide', [[sha, new Uint8Array([1, 2, 3])]]]);
  expect([...back.sounds]).toEqual([[soundSha, new Uint8Array([4, 5])]]);
});

test('the same film is the same bytes, whenever and from whatever order of files it is written', () => {
  const now = jest.spyOn(Date, 'now');
  now.mockReturnValue(Date.UTC(2026, 0, 1));
  const first = writeFilmZip(film);
  now.mockReturnValue(Date.UTC(2031, 5, 7, 12));
  const again = writeFilmZip({ ...film, pictures: new Map([...film.pictures].reverse()) });
  now.mockRestore();
  expect(again).toEqual(first);
});

const zipOf = (files: Record<string, string>) =>
  zipSync(Object.fromEntries(Object.entries(files).map(([path, text]) => [path, strToU8(text)])));
const head = (more: object) =>
  JSON.stringify({ format: 'humble-pendulum-film', version: 1, name: 'A', ...more });

test.each([
  ['no ZIP file', new Uint8Array([1, 2, 3, 4]), 'cannot be read'],
  ['half of one', writeFilmZip(film).slice(0, 300), 'cannot be read'],
  ['any other ZIP file', zipOf({ 'readme.txt': 'hello' }), 'has no film.json'],
  ['another format', zipOf({ 'film.json': '{"format":"x"}' }), 'no Humble Pendulum film'],
  ['torn JSON', zipOf({ 'film.json': '{"format":' }), 'valid JSON'],
  ['a newer one', zipOf({ 'film.json': head({ version: 2 }) }), 'newer release'],
  ['no list of shots', zipOf({ 'film.json': head({ shots: 3 }) }), 'does not say'],
  [
    'too many shots',
    zipOf({ 'film.json': head({ shots: Array(1001).fill('shots/a.json') }) }),
    'may have 1000',
  ],
  ['a shot that is missing', zipOf({ 'film.json': head({ shots: ['shots/a.json'] }) }), 'no “shots/a.json”'],
  [
    'a path that leads out',
    zipOf({ 'film.json': head({ shots: ['../a.json'] }), '../a.json': '{}' }),
    'no “../a.json”',
  ],
  [
    'a shot that is none',
    zipOf({ 'film.json': head({ shots: ['shots/a.json'] }), 'shots/a.json': '{}' }),
    '“shots/a.json”: This file is not a Humble Pendulum shot.',
  ],
])('%s is refused with a sentence', (_, bytes, sentence) => {
  expect(() => readFilmZip(bytes)).toThrow(sentence);
});

test('a bomb is refused before it is unpacked', () => {
  const bomb = zipSync({
    'film.json': strToU8(head({ shots: ['shots/a.json'] })),
    'shots/a.json': new Uint8Array(33_000_000),
  });
  expect(bomb.length).toBeLessThan(100_000);
  expect(() => readFilmZip(bomb)).toThrow('too large');
});

/** A ZIP whose list of contents says other sizes than there are: bytes 24 to 27 of each entry of the list. */
function lying(zip: Uint8Array, path: string, size: number): Uint8Array {
  const bytes = zip.slice();
  const view = new DataView(bytes.buffer);
  for (let at = 0; at + 46 < bytes.length; at++) {
    if (view.getUint32(at, true) !== 0x02014b50) continue;
    const length = view.getUint16(at + 28, true);
    if (strFromU8(bytes.subarray(at + 46, at + 46 + length)) === path) view.setUint32(at + 24, size, true);
  }
  return bytes;
}

test('a bomb that lies about its size is not unpacked further than it says', () => {
  const zip = zipSync({
    'film.json': strToU8(head({ shots: ['shots/a.json'] })),
    'shots/a.json': new Uint8Array(20_000_000),
  });
  const before = process.memoryUsage().arrayBuffers;
  expect(() => readFilmZip(lying(zip, 'shots/a.json', 100))).toThrow(/cannot be read|shots\/a\.json/);
  expect(process.memoryUsage().arrayBuffers - before).toBeLessThan(10_000_000);
  // One that says less than nothing is as large as can be.
  expect(() => readFilmZip(lying(zip, 'shots/a.json', 0xffffffff))).toThrow('too large');
});

test('many files that are small by themselves are refused by what they weigh together', () => {
  const paths = Array.from({ length: 20 }, (_, i) => `shots/${i}.json`);
  const small = zipOf({
    'film.json': head({ shots: paths }),
    ...Object.fromEntries(paths.map((path) => [path, '{}'])),
  });
  const zip = paths.reduce<Uint8Array>((bytes, path) => lying(bytes, path, 31_000_000), small);
  expect(() => readFilmZip(zip)).toThrow('weighs more than 400 MB');
});

test('files that mean nothing are passed over, wherever their paths lead', () => {
  const files = unzipSync(writeFilmZip(film));
  const zip = zipSync({
    ...files,
    '../../evil.json': strToU8('{}'),
    '/etc/evil': strToU8('x'),
    'pictures\\..\\evil.png': strToU8('x'),
    [`pictures/../${sha}.png`]: strToU8('x'),
    'shots/deep/er.json': strToU8('{}'),
  });
  expect(readFilmZip(zip)).toEqual(readFilmZip(writeFilmZip(film)));
});
