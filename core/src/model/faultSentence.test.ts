import { DEMO_SHOTS } from '../testing/demoShots';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { decodedText } from '../formats/decodedText';
import { firstFault } from './faultSentence';
import { isNamed } from './partNames';
import { openShot, readShotFile, writeShotFile } from './openShot';
import { shotSchema } from './schema';
import { SHOT_VERSION } from './version';

const demo = readdirSync(DEMO_SHOTS).map((name): object => ({
  ...(JSON.parse(readFileSync(join(DEMO_SHOTS, name), 'utf8')) as object),
  version: SHOT_VERSION,
}));
const [crab, cork, eel, lantern] = demo as Record<string, any>[];

/** What is said of a shot with the value at a path changed; undefined takes it away. */
function said(shot: object, path: readonly (string | number)[], value: unknown): string {
  const copy = structuredClone(shot) as Record<string | number, any>;
  let inside = copy;
  for (const key of path.slice(0, -1)) inside = inside[key];
  const last = path[path.length - 1]!;
  if (value === undefined) delete inside[last];
  else inside[last] = value;
  const result = shotSchema.safeParse(copy);
  return result.success ? '' : firstFault(result.error, copy);
}

test.each([
  [lantern, ['figures'], undefined, 'the figures are missing'],
  [lantern, ['rate'], 'fast', 'the frame rate is “fast”, and must be a number'],
  [lantern, ['lengthFrames'], 10.5, 'the length in frames is 10.5, and must be a whole number'],
  [
    cork,
    ['backdrop', 'pictures', 0, 'sha256'],
    'abc',
    'the checksum of picture 1 of the backdrop is “abc”, and must be 64 digits from 0 to 9 and a to f',
  ],
  [
    lantern,
    ['moves', 0, 'marks', 1, 'fraction'],
    null,
    'the place on the arc of mark 2 of move 1 is “null”, and must be a number',
  ],
  [lantern, ['moves', 0, 'framesHeld'], 4, 'the exposure of move 1 is 4, which cannot be'],
  [
    lantern,
    ['moves', 0, 'turnsWithArc'],
    1,
    'the setting “turns with the arc” of move 1 is 1, and must be true or false',
  ],
  [lantern, ['arcs', 0, 'points'], {}, 'the points of arc 1 are an object, and must be a list'],
  [lantern, ['sheet', 'units'], 'inch', 'the unit of the sheet is “inch”, and must be “field” or “mm”'],
  [
    lantern,
    ['moves', 0, 'marks', 0, 'easing'],
    { kind: 'magic' },
    'the kind of the easing of mark 1 of move 1 is “magic”, which is unknown',
  ],
  [
    eel,
    ['moves', 0, 'riders', 2, 'id'],
    'rider1',
    'the id of part 3 of move 1 is wrong: part 1 of move 1 has the id “rider1”, too',
  ],
  [crab, ['takes', 0, 'name'], '', 'the name of take 1 is empty'],
] as const)('what is wrong is named with its place: %#', (shot, path, value, sentence) => {
  const given = sentence.includes('has the id') ? (eel!.moves[0].riders[0].id as string) : value;
  expect(said(shot!, path, given)).toBe(sentence.replace('rider1', String(eel!.moves[0].riders[0].id)));
});

test('keys of a track, two arcs with one id, a figure that is used twice', () => {
  const keyed = structuredClone(lantern!);
  const key = (frame: number) => ({
    id: `k${frame}`,
    frame,
    value: 1,
    easing: { kind: 'even' },
    growth: 'even',
  });
  keyed.moves[0].tracks.turn = [key(3), key(2)];
  expect(said(keyed, ['name'], 'x')).toBe(
    'the frame of key 2 of the turn of move 1 is wrong: keys must follow each other in time',
  );
  const twice = structuredClone(lantern!);
  twice.arcs.push(structuredClone(twice.arcs[0]));
  expect(said(twice, ['name'], 'x')).toBe(
    `the id of arc 2 is wrong: arc 1 has the id “${lantern!.arcs[0].id}”, too`,
  );
});

/** All paths of a value, those of lists and objects among them. */
function* pathsIn(value: unknown, path: (string | number)[] = []): Generator<(string | number)[]> {
  if (path.length > 0) yield path;
  if (Array.isArray(value))
    for (const [i, one] of value.slice(0, 1).entries()) yield* pathsIn(one, [...path, i]);
  else if (typeof value === 'object' && value !== null)
    for (const [key, one] of Object.entries(value)) yield* pathsIn(one, [...path, key]);
}

test('whatever is missing or of another type in the demo, the sentence is plain English', () => {
  const looked = new Set<string>();
  for (const shot of demo)
    for (const path of pathsIn(shot)) {
      const name = path.join('/');
      if (typeof path[path.length - 1] === 'number' || looked.has(name)) continue;
      looked.add(name);
      for (const value of [undefined, 'nonsense', -1e9]) {
        const sentence = said(shot, path, value);
        if (sentence === '') continue;
        // No key as it is written in the file, but where it is quoted; one verb that fits.
        expect(sentence.replace(/“[^”]*”/g, '')).not.toMatch(/[a-z][A-Z]|undefined|\[object/);
        expect(sentence).not.toMatch(
          /\b(figures|arcs|moves|marks|points|keys of the \w+|takes|notes|cues) is\b/,
        );
        expect(sentence).toMatch(/\b(is|are|has)\b/);
      }
    }
});

test('every key of the format has a name', () => {
  const unnamed = new Set<string>();
  const seen = new Set<unknown>();
  const walk = (schema: any): void => {
    const def = schema?._zod?.def;
    if (!def || seen.has(schema)) return;
    seen.add(schema);
    for (const [key, inside] of Object.entries(def.shape ?? {})) {
      if (!isNamed(key)) unnamed.add(key);
      walk(inside);
    }
    for (const inside of [def.element, def.innerType, def.in, ...(def.options ?? []), ...(def.items ?? [])])
      walk(inside);
  };
  walk(shotSchema);
  expect([...unnamed]).toEqual([]);
});

describe('a file that is no JSON', () => {
  const text = writeShotFile(openShot(lantern));

  test.each([
    ['', 'it is empty'],
    [text.slice(0, 300), 'it isn’t valid JSON, it ends too soon'],
    [text.replace('"rate"', 'rate'), 'The fault is on line 6, at character 3'],
    [Buffer.from(text, 'utf16le').toString('utf8'), 'it is not text in UTF-8'],
  ])('is told where: %#', (broken, sentence) => {
    expect(() => readShotFile(broken)).toThrow(sentence);
  });

  test('is read where it is UTF-16, with its byte-order mark or without', () => {
    const little = Buffer.from(`\uFEFF${text}`, 'utf16le');
    const big = Buffer.from(little).swap16();
    for (const bytes of [little, big, little.subarray(2), big.subarray(2), Buffer.from(`\uFEFF${text}`)])
      expect(readShotFile(decodedText(bytes)).name).toBe(lantern!.name);
  });
});
