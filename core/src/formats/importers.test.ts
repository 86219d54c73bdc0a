import { writeShotFile } from '../model/openShot';
import { straightShot } from '../testing/shapes';
import { importShot, IMPORTERS } from './importers';
import { writeIncrementsCsv } from './incrementsCsv';

const shot = straightShot(100, 21);
const table = writeIncrementsCsv(shot);

test('a shot file and a table are told apart by what is in them', () => {
  expect(importShot({ name: 'whatever.txt', text: writeShotFile(shot) })).toEqual({ shot, notes: [] });
  expect(importShot({ name: 'A walk.csv', text: table }).shot).toMatchObject({
    name: 'A walk',
    lengthFrames: 21,
  });
  expect(() => importShot({ name: 'broken.json', text: 'frame,place' })).toThrow('valid JSON');
});

test.each([
  ['.csv', 'Imported shot'],
  ['harbour.wall.csv', 'harbour.wall'],
  ['tables/of today/tide.csv', 'tide'],
  ['C:\\tables\\tide.tsv', 'tide'],
  [`${'long '.repeat(60)}.csv`, 'long '.repeat(24).trim()],
])('a table in %s becomes the shot “%s”', (name, title) => {
  expect(importShot({ name, text: table }).shot.name).toBe(title);
});

test('each kind of file has endings of its own', () => {
  const endings = IMPORTERS.flatMap(({ extensions }) => extensions);
  expect(endings).toEqual(expect.arrayContaining(['.json', '.csv', '.tsv', '.txt']));
  expect(new Set(endings).size).toBe(endings.length);
});
