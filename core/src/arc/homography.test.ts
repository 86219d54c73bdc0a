import { fc } from '../testing/property';
import {
  applyHomography,
  cornersFault,
  type FourSpots,
  homographyOf,
  inverseHomography,
  stretchAt,
} from './homography';
import { distance } from './vector';

/** A sheet of A4 lying on a set, as a camera sees it, and its corners on the table in millimetres. */
const SEEN: FourSpots = [
  { x: 312, y: 210 },
  { x: 1610, y: 236 },
  { x: 1784, y: 905 },
  { x: 180, y: 870 },
];
const A4: FourSpots = [
  { x: 0, y: 0 },
  { x: 297, y: 0 },
  { x: 297, y: 210 },
  { x: 0, y: 210 },
];

test('the corners of a sheet are where they are on the table, within a millionth of a millimetre', () => {
  const toTable = homographyOf(SEEN, A4);
  const residual = Math.max(...SEEN.map((spot, i) => distance(applyHomography(toTable, spot), A4[i]!)));
  expect(residual).toBeLessThanOrEqual(1e-6);
});

test('straight lines stay straight, and the way back leads back', () => {
  const toTable = homographyOf(SEEN, A4);
  const back = inverseHomography(toTable);
  const place = fc.record({ x: fc.integer({ min: 0, max: 1920 }), y: fc.integer({ min: 100, max: 1080 }) });
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(place, place, share, (a, b, t) => {
      const between = { x: a.x + t * (b.x - a.x), y: a.y + t * (b.y - a.y) };
      const [p, q, r] = [a, b, between].map((one) => applyHomography(toTable, one)) as [
        typeof a,
        typeof a,
        typeof a,
      ];
      const off = (q.x - p.x) * (r.y - p.y) - (q.y - p.y) * (r.x - p.x);
      expect(Math.abs(off)).toBeLessThan(1e-6 * Math.max(1, distance(p, q) ** 2));
      expect(distance(applyHomography(back, r), between)).toBeLessThan(1e-6);
    }),
  );
});

test('a small step is as long on the table as the map makes it', () => {
  const toTable = homographyOf(SEEN, A4);
  for (const deg of [0, 37, 90, 200]) {
    const [from, far] = [{ x: 900, y: 500 }, 1e-4];
    const to = {
      x: from.x + far * Math.cos((deg * Math.PI) / 180),
      y: from.y + far * Math.sin((deg * Math.PI) / 180),
    };
    const measured = distance(applyHomography(toTable, from), applyHomography(toTable, to)) / far;
    expect(stretchAt(toTable, from, deg)).toBeCloseTo(measured, 5);
  }
});

test('corners on one line, on one spot or out of order are refused with a sentence', () => {
  const [a, b, c, d] = SEEN;
  expect(cornersFault(SEEN)).toBeNull();
  expect(cornersFault([a, { x: 700, y: 700 }, c, d])).toMatch(/not in order|on one line/);
  expect(cornersFault([a, { x: (a.x + c.x) / 2, y: (a.y + c.y) / 2 }, c, d])).toMatch(/on one line/);
  expect(cornersFault([a, a, c, d])).toMatch(/on one line/);
  expect(() => homographyOf([a, c, b, d], A4)).toThrow(/not in order/);
  expect(() => homographyOf([d, c, b, a], A4)).toThrow(/not in order/);
});
