import { arcOf, corner, everyEasing, onlyMove, shotAlong, markAt } from '../testing/shapes';
import { fc } from '../testing/property';
import { type Easing, easingSchema, type Mark, type Move } from '../model/schema';
import { easedDistance } from './easedDistance';
import { fractionAt } from './placeInTime';
import { ticksFrom } from './retime';

const at = (easing: Easing, frames: number, distance: number, ...xs: number[]): number[] =>
  xs.map((x) => easedDistance(easing, x, frames, distance));
const near = (values: readonly number[], digits: number) =>
  values.map((value) => expect.closeTo(value, digits));

const mark = (frame: number, fraction: number, kind: 'stop' | 'pass', easing: Easing): Mark =>
  markAt(frame, fraction, { kind, easing });
const moveWith = (...marks: Mark[]): Move => ({
  ...onlyMove(shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 500)),
  marks,
});

test('whatever the easing, a span starts at its start, ends at its end, and every place is a number', () => {
  fc.assert(
    fc.property(
      everyEasing(40),
      fc.integer({ min: 1, max: 40 }),
      fc.integer({ min: -300, max: 300 }),
      (easing, n, d) => {
        expect(easedDistance(easing, 0, n, d)).toBe(0);
        expect(easedDistance(easing, n, n, d)).toBe(d);
        for (let i = 0; i <= 60; i++) expect(easedDistance(easing, (n * i) / 60, n, d)).not.toBeNaN();
      },
    ),
  );
});

describe('slow at a place', () => {
  test('a turn of 360° in 20 frames, slowest at its start by 0.6', () => {
    const easing: Easing = { kind: 'slow-place', at: 0, strength: 0.6 };
    const places = [0, 7.38, 15.79, 26.19, 39.31, 55.62, 75.31, 98.19, 123.79, 151.38, 180];
    expect(at(easing, 20, 360, ...places.map((_, i) => i))).toEqual(near(places, 2));
  });

  test('slowest half way, over frames 1 to 160', () => {
    const easing: Easing = { kind: 'slow-place', at: 0.5, strength: 0.6 };
    expect(at(easing, 159, 100, 40, 80, 120)).toEqual(near([34.71, 50.13, 65.93], 2));
  });
});

describe('flowing through marks', () => {
  const flow: Easing = { kind: 'flow' };
  const move = moveWith(
    mark(1, 0, 'stop', flow),
    mark(13, 0.3, 'pass', flow),
    mark(25, 0.9, 'pass', flow),
    mark(37, 1, 'stop', flow),
  );
  const percent = (frame: number): number => 100 * fractionAt(move, frame);

  test('the places between, and the speeds at the marks', () => {
    expect([7, 19, 31].map(percent)).toEqual(near([10, 62.857, 97.143], 3));
    const speed = (frame: number): number => (percent(frame + 1e-4) - percent(frame - 1e-4)) / 2e-4;
    expect([13, 25].map(speed)).toEqual(near([3.3333, 1.42857], 3));
    expect(speed(1 + 1e-4)).toBeCloseTo(0, 3);
  });

  test('nothing overshoots or turns back between marks that go one way', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 20 }), fc.double({ min: 0, max: 0.2, noNaN: true })), {
          minLength: 2,
          maxLength: 5,
        }),
        (steps) => {
          let [frame, fraction] = [1, 0];
          const marks = [mark(1, 0, 'stop', flow)];
          for (const [frames, further] of steps)
            marks.push(mark((frame += frames), (fraction += further), 'pass', flow));
          const any = moveWith(...marks);
          let before = 0;
          for (let f = 1; f <= frame; f += 0.25) {
            const now = fractionAt(any, f);
            expect(now).toBeGreaterThanOrEqual(before - 1e-12);
            before = now;
          }
          expect(before).toBeLessThanOrEqual(fraction + 1e-12);
        },
      ),
    );
  });
});

test('a curve is the cubic in the unit square; its handles may leave it upwards and downwards only', () => {
  const straight: Easing = { kind: 'curve', x1: 1 / 3, y1: 1 / 3, x2: 2 / 3, y2: 2 / 3 };
  expect(at(straight, 10, 100, 1, 5, 9)).toEqual(near([10, 50, 90], 9));
  // x1 = 0 and x2 = 1: x = 3t² − 2t³, which is ½ at t = ½; there y = (3·y1 + 3·y2 + 1) / 8.
  const swung: Easing = { kind: 'curve', x1: 0, y1: -0.5, x2: 1, y2: 1.5 };
  expect(at(swung, 10, 80, 5)).toEqual(near([80 * 0.5], 9));
  expect(Math.min(...at(swung, 10, 80, 1, 2))).toBeLessThan(0);
  expect(Math.max(...at(swung, 10, 80, 8, 9))).toBeGreaterThan(80);
});

test('a settle passes the target by the overshoot first, less each time, and ends on it at rest', () => {
  const easing: Easing = { kind: 'settle', overshoot: 0.3, swings: 3 };
  const places = Array.from({ length: 4001 }, (_, i) => easedDistance(easing, i / 100, 40, 100));
  expect(Math.max(...places)).toBeCloseTo(130, 2);
  const turns = places.filter((p, i) => i > 0 && i < 4000 && (p - places[i - 1]!) * (places[i + 1]! - p) < 0);
  expect(turns).toHaveLength(3);
  const away = turns.map((p) => Math.abs(p - 100));
  away.slice(1).forEach((distance, i) => expect(distance).toBeLessThan(away[i]!));
  expect(Math.abs(places[4000]! - places[3999]!)).toBeLessThan(0.01);
  expect(Math.abs(places[1]!)).toBeLessThan(0.01);
});

test('a bounce falls onto its target, each bounce as high as the square of the restitution says', () => {
  const easing: Easing = { kind: 'bounce', count: 2, restitution: 0.5 };
  // In times of the fall: the fall 1, the bounces 1 and ½.
  expect(at(easing, 25, 100, 5, 10, 15, 20, 22.5, 25)).toEqual(near([25, 100, 75, 100, 93.75, 100], 9));
  expect(at({ kind: 'bounce', count: 0, restitution: 0.5 }, 10, 100, 5)).toEqual(near([25], 9));
});

test('a snap stays and then jumps; ticks are an explicit chart, straight between', () => {
  expect(at({ kind: 'snap' }, 12, 90, 1, 11.9, 12)).toEqual([0, 0, 90]);
  const chart: Easing = { kind: 'ticks', fractions: [0.5, 0.75, 0.875, 1] };
  expect(at(chart, 8, 80, 1, 2, 4, 6, 7)).toEqual(near([20, 40, 60, 70, 75], 9));
  // One chart, another number of frames.
  expect(at(chart, 4, 80, 1, 2, 3)).toEqual(near([40, 60, 70], 9));
});

test('any easing turned into ticks is at the same place on every frame', () => {
  fc.assert(
    fc.property(everyEasing(30), fc.integer({ min: 1, max: 30 }), (easing, frames) => {
      const chart = ticksFrom(easing, frames);
      for (let x = 0; x <= frames; x++)
        expect(easedDistance(chart, x, frames, 100)).toBeCloseTo(easedDistance(easing, x, frames, 100), 9);
    }),
  );
});

test('a bounce may have twenty hits and no more', () => {
  const bounces = (count: number) =>
    easingSchema.safeParse({ kind: 'bounce', count, restitution: 0.5 }).success;
  expect([0, 3, 20, 21].map(bounces)).toEqual([true, true, true, false]);
});
