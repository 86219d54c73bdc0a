import { cornersFrom } from './setPerspective';

const [a, b, c, d] = [
  { x: 312, y: 210 },
  { x: 1610, y: 236 },
  { x: 1784, y: 905 },
  { x: 180, y: 870 },
] as const;

test.each([
  ['clockwise', [a, b, c, d]],
  ['the other way', [d, c, b, a]],
  ['from the middle of it', [c, d, a, b]],
  ['across', [a, c, b, d]],
])('four corners tapped %s are the same sheet', (_, spots) => {
  expect(cornersFrom(spots)).toEqual({ upperLeft: a, upperRight: b, lowerRight: c, lowerLeft: d });
});
