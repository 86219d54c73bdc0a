import { edits } from '../../edits/edits';
import { evaluate } from '../../motion/evaluate';
import { onlyMove, straightShot } from '../../testing/shapes';
import { readShotFile, writeShotFile } from '../../model/openShot';
import { shotSchema } from '../../model/schema';
import { fc } from '../../testing/property';
import { type Growth, grown, GROWTHS } from './growth';
import { trackValueAt } from './trackValues';

/** 100 % to 25 % over 24 frames. */
function sized(growth: Growth) {
  const shot = straightShot(400, 25);
  const moveId = onlyMove(shot).id;
  const first = edits.setKey(shot, { moveId, track: 'size', frame: 1, value: 100 });
  const both = edits.setKey(first, { moveId, track: 'size', frame: 25, value: 25 });
  const keyIds = onlyMove(both).tracks.size.map(({ id }) => id);
  return edits.setKeyGrowth(both, { moveId, track: 'size', keyIds: keyIds.slice(0, 1), growth });
}

test.each([
  ['even', [81.25, 62.5, 43.75]],
  ['ratio', [70.711, 50, 35.355]],
  ['depth', [57.143, 40, 30.769]],
] as const)('100 %% to 25 %% over 24 frames by %s growth: at 6, 12 and 18', (growth, expected) => {
  const { size } = evaluate(sized(growth)).travels[0]!.tracks;
  expect([6, 12, 18].map((n) => size[n]!)).toEqual(expected.map((value) => expect.closeTo(value, 3)));
  expect([size[0], size[24]]).toEqual([100, 25]);
});

test('both ends are met, and every growth lies between them', () => {
  const sizes = fc.double({ min: 0.1, max: 1e4, noNaN: true });
  fc.assert(
    fc.property(
      sizes,
      sizes,
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.constantFrom(...GROWTHS),
      (a, b, u, growth) => {
        expect(grown(a, b, 0, growth)).toBeCloseTo(a, 6);
        expect(grown(a, b, 1, growth) / b).toBeCloseTo(1, 9);
        const value = grown(a, b, u, growth);
        expect(value).toBeGreaterThanOrEqual(Math.min(a, b) * (1 - 1e-9));
        expect(value).toBeLessThanOrEqual(Math.max(a, b) * (1 + 1e-9));
      },
    ),
  );
});

test.each(GROWTHS)('a key put between two others changes nothing that is seen (%s)', (growth) => {
  const shot = sized(growth);
  const divided = edits.setKey(shot, { moveId: onlyMove(shot).id, track: 'size', frame: 9 });
  expect(onlyMove(divided).tracks.size).toHaveLength(3);
  const [before, after] = [shot, divided].map((one) => evaluate(one).travels[0]!.tracks.size);
  before!.forEach((value, i) => expect(after![i]).toBeCloseTo(value, 9));
});

test.each(GROWTHS)('single frames have what all frames have (%s), and the file keeps it', (growth) => {
  const shot = sized(growth);
  const { tracks } = onlyMove(shot);
  const all = evaluate(shot).travels[0]!.tracks.size;
  for (let f = 1; f <= 25; f++) expect(trackValueAt('size', tracks.size, f)).toBe(all[f - 1]);
  expect(readShotFile(writeShotFile(shot))).toEqual(shot);
});

test('a turn grows evenly, whatever is asked', () => {
  const shot = straightShot(400, 25);
  const moveId = onlyMove(shot).id;
  const keyed = edits.setKey(shot, { moveId, track: 'turn', frame: 5, value: 90 });
  const keyIds = onlyMove(keyed).tracks.turn.map(({ id }) => id);
  expect(edits.setKeyGrowth(keyed, { moveId, track: 'turn', keyIds, growth: 'ratio' })).toEqual(keyed);
  const forced = structuredClone(keyed) as unknown as { moves: { tracks: { turn: { growth: string }[] } }[] };
  forced.moves[0]!.tracks.turn[0]!.growth = 'ratio';
  expect(shotSchema.safeParse(forced).success).toBe(false);
});
