import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { writeIncrementsCsv } from '../formats/incrementsCsv';
import { z } from 'zod';
import { migrate } from './migrate';
import { openShot, readShotFile, writeShotFile } from './openShot';
import { LAST_CHANGED_VERSION, SHOT_VERSION } from './version';

const FOLDER = join(__dirname, '../testing/oldVersions');

/**
 * Of each old version a file as it was written then, and a hash of the increments that it had. A migration that
 * is changed later, or that uses a default of a later day, changes one of them.
 */
const INCREMENTS: Readonly<Record<number, string>> = {
  1: '62347b2679b66006',
  2: '730328f4f34863ff',
  3: '730328f4f34863ff',
  4: 'c7b1b63c330afff4',
  5: '3a4c25b35bd0ab5f',
  6: '25fb02670f13a6b0',
  7: '7562ab12906066a8',
  8: '902ab6a88966bdfe',
  9: '74209dd84ff2da17',
};

const textOf = (version: number): string => readFileSync(join(FOLDER, `version${version}.json`), 'utf8');

/** Columns that every version had. */
function increments(text: string): string {
  const lines = writeIncrementsCsv(readShotFile(text)).trimEnd().split('\n');
  const columns = lines[0]!
    .split(',')
    .flatMap((name, i) => (/^(frame|held|x|y|heading_deg)$/.test(name) ? [i] : []));
  return lines.map((line) => columns.map((i) => line.split(',')[i]).join()).join('\n');
}

const versions = Array.from({ length: LAST_CHANGED_VERSION - 1 }, (_, i) => i + 1);

test('there is a file of every version that was changed later', () => {
  expect(readdirSync(FOLDER).sort()).toEqual(versions.map((version) => `version${version}.json`));
});

test.each(versions)('a file of version %i opens with the increments that it had', (version) => {
  const hash = createHash('sha256')
    .update(increments(textOf(version)))
    .digest('hex');
  expect(hash.slice(0, 16)).toBe(INCREMENTS[version]);
});

test.each(versions)('nothing that stood in a file of version %i is lost', (version) => {
  const old = JSON.parse(textOf(version)) as object;
  const now = JSON.parse(writeShotFile(readShotFile(textOf(version)))) as object;
  expect(now).toMatchObject({ ...old, version: SHOT_VERSION });
});

test('a version that only adds fields needs no step: their defaults stand in the schema', () => {
  const old = { format: 'humble-pendulum-shot', version: SHOT_VERSION, name: 'Quay' };
  const present = SHOT_VERSION + 2;
  expect(migrate(old, SHOT_VERSION, present)).toEqual({ ...old, version: present });
  const schema = z.object({ version: z.literal(present), name: z.string(), remark: z.string().default('') });
  expect(schema.parse(migrate(old, SHOT_VERSION, present))).toMatchObject({ remark: '' });
  // The release of before does not open the new file, whose field it would drop.
  expect(() => openShot({ ...old, version: SHOT_VERSION + 1, remark: 'Windy' })).toThrow('newer release');
});

test.each([0, -3, 1.5, '9', null, Number.NaN])('a version that is none is left alone: %p', (version) => {
  const data = { version };
  expect(migrate(data, version)).toBe(data);
});
