import { byDetail, labelRow } from './detail';

const apart = (a: number, b: number): number => b - a;

test('what has room is full, what stands close a hairline, and what would touch a band', () => {
  expect(byDetail([0, 10, 20, 24, 40, 41, 42, 60], apart)).toEqual({
    full: [0, 10, 60],
    hairlines: [20, 24],
    bands: [[40, 41, 42]],
  });
});

test('two bands side by side stay two, and nothing is lost', () => {
  const { full, hairlines, bands } = byDetail([0, 1, 2, 6, 7, 8], apart);
  expect(bands).toEqual([
    [0, 1, 2],
    [6, 7, 8],
  ]);
  expect([...full, ...hairlines, ...bands.flat()]).toHaveLength(6);
});

test('any row is sorted whole, and nothing but bands is closer than 2.5 pixels', () => {
  const row = Array.from({ length: 500 }, (_, i) => i * 1.7 + 40 * Math.sin(i / 9)).sort((a, b) => a - b);
  const { full, hairlines, bands } = byDetail(row, apart);
  expect([...full, ...hairlines, ...bands.flat()].sort((a, b) => a - b)).toEqual(row);
  const alone = [...full, ...hairlines].sort((a, b) => a - b);
  alone.slice(1).forEach((x, i) => expect(x - alone[i]!).toBeGreaterThanOrEqual(2.5));
});

test('labels take room by their length, and the first ones asked about have it', () => {
  const hasRoom = labelRow(6);
  expect(hasRoom(100, '12345')).toBe(true);
  expect(hasRoom(130, '130')).toBe(false);
  expect(hasRoom(134, '130')).toBe(true);
  expect(hasRoom(70, '7')).toBe(true);
});
