import { outlineSchema } from '../model/artworkSchema';
import { MAX_OUTLINE_POINTS, MAX_OUTLINE_RINGS } from '../model/limits';
import { fc } from '../testing/property';
import { traceOutline } from './traceOutline';

/** A mask drawn by letters: # is seen. */
const maskOf = (...rows: string[]) => ({
  width: rows[0]!.length,
  height: rows.length,
  alpha: Uint8Array.from([...rows.join('')].map((letter) => (letter === '#' ? 255 : 0))),
});

const areaOf = (ring: readonly number[]): number => {
  let sum = 0;
  for (let i = 0; i < ring.length; i += 2) {
    const next = (i + 2) % ring.length;
    sum += ring[i]! * ring[next + 1]! - ring[next]! * ring[i + 1]!;
  }
  return sum / 2;
};

test('the outline of a box is its four corners, in the units of the picture', () => {
  const [ring, ...others] = traceOutline(maskOf('......', '.####.', '.####.', '......'), 10)!;
  expect(others).toEqual([]);
  expect(
    new Set(Array.from({ length: ring!.length / 2 }, (_, i) => `${ring![2 * i]} ${ring![2 * i + 1]}`)),
  ).toEqual(new Set(['10 10', '50 10', '50 30', '10 30']));
});

test('a hole runs the other way round, so that it stays open when it is filled', () => {
  const rings = traceOutline(maskOf('#####', '#...#', '#...#', '#...#', '#####'), 1)!;
  expect(rings.map(areaOf)).toEqual([25, -9]);
});

test('parts that touch at a corner are apart, and specks are left out', () => {
  expect(traceOutline(maskOf('##..', '##..', '..##', '..##'), 1)!.map(areaOf)).toEqual([4, 4]);
  const speck = maskOf(
    '#'.repeat(40),
    ...Array.from({ length: 8 }, () => '#'.repeat(40)),
    ' '.repeat(40),
    `#${'.'.repeat(39)}`,
  );
  expect(traceOutline(speck, 1)).toHaveLength(1);
});

test('a picture of which nothing is seen has none', () => {
  expect(traceOutline(maskOf('....', '....'), 1)).toBeNull();
});

test('a disc keeps its area within two per cent with few points', () => {
  const size = 96;
  const alpha = Uint8Array.from({ length: size * size }, (_, i) =>
    Math.hypot((i % size) - 47.5, Math.floor(i / size) - 47.5) < 40 ? 255 : 0,
  );
  const [ring] = traceOutline({ width: size, height: size, alpha }, 1)!;
  expect(Math.abs(areaOf(ring!) / (Math.PI * 1600) - 1)).toBeLessThan(0.02);
});

test('whatever the picture, its outline is one that a shot may have', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 24 }),
      fc.array(fc.boolean(), { minLength: 1, maxLength: 600 }),
      (width, seen) => {
        const height = Math.ceil(seen.length / width);
        const alpha = Uint8Array.from({ length: width * height }, (_, i) => (seen[i] ? 255 : 0));
        const outline = traceOutline({ width, height, alpha }, 3);
        if (!seen.includes(true)) return expect(outline).toBeNull();
        expect(outlineSchema.safeParse(outline).success).toBe(true);
        expect(outline!.length).toBeLessThanOrEqual(MAX_OUTLINE_RINGS);
        for (const ring of outline!) expect(ring.length / 2).toBeLessThanOrEqual(MAX_OUTLINE_POINTS);
      },
    ),
  );
});
