import { fc } from '../testing/property';
import { bestSimilarity, betweenSpots } from './similarity';

const A = [
  { x: 10, y: 0 },
  { x: 50, y: 0 },
  { x: 50, y: 20 },
  { x: 10, y: 20 },
];
const RADIANS = Math.PI / 180;
const B = A.map(({ x, y }, i) => {
  const [cos, sin] = [1.25 * Math.cos(60 * RADIANS), 1.25 * Math.sin(60 * RADIANS)];
  const at = { x: cos * x - sin * y, y: sin * x + cos * y };
  return i === 2 ? { x: at.x + 6, y: at.y - 4 } : at;
});
const rounded = ({ x, y }: { readonly x: number; readonly y: number }) => [
  Number(x.toFixed(4)),
  Number(y.toFixed(4)),
];

test('a rod that turns by a quarter is as long half-way as at its ends', () => {
  const [, end] = betweenSpots(
    [
      { x: 0, y: 0 },
      { x: 100, y: 0 },
    ],
    [
      { x: 0, y: 0 },
      { x: 0, y: 100 },
    ],
    0.5,
  );
  expect(end!.x).toBeCloseTo(70.711, 3);
  expect(end!.y).toBeCloseTo(70.711, 3);
  expect(Math.hypot(end!.x, end!.y)).toBeCloseTo(100, 9);
});

test('the similarity of two outlines of which one spot went its own way', () => {
  const { radians, ratio } = bestSimilarity(A, B);
  expect(radians / RADIANS).toBeCloseTo(57.2632, 4);
  expect(ratio).toBeCloseTo(1.223541, 6);
});

test('in-betweens of them at 0.5, 0.25 and 0.8, and both ends exactly', () => {
  expect(betweenSpots(A, B, 0.5).map(rounded)).toEqual([
    [9.6788, 5.5914],
    [48.3941, 27.9568],
    [38.7255, 44.4279],
    [-1.5039, 24.949],
  ]);
  expect(rounded(betweenSpots(A, B, 0.25)[0]!)).toEqual([10.2111, 2.7382]);
  expect(rounded(betweenSpots(A, B, 0.8)[2]!)).toEqual([26.1226, 56.4847]);
  expect(betweenSpots(A, B, 0)).toEqual(A);
  expect(betweenSpots(A, B, 1)).toEqual(B);
});

test('what only turns and grows keeps its shape all the way', () => {
  const number = fc.double({ min: -100, max: 100, noNaN: true });
  fc.assert(
    fc.property(
      fc.array(fc.record({ x: number, y: number }), { minLength: 2, maxLength: 8 }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      fc.double({ min: 0.2, max: 5, noNaN: true }),
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      (spots, angle, ratio, share) => {
        fc.pre(spots.some(({ x, y }) => Math.hypot(x, y) > 1));
        const [cos, sin] = [ratio * Math.cos(angle), ratio * Math.sin(angle)];
        const after = spots.map(({ x, y }) => ({ x: cos * x - sin * y, y: sin * x + cos * y }));
        betweenSpots(spots, after, share).forEach(({ x, y }, i) => {
          const before = spots[i]!;
          const [size, turn] = [ratio ** share, angle * share];
          expect(x).toBeCloseTo(size * (Math.cos(turn) * before.x - Math.sin(turn) * before.y), 6);
          expect(y).toBeCloseTo(size * (Math.sin(turn) * before.x + Math.cos(turn) * before.y), 6);
        });
      },
    ),
  );
});
