import {
  anyEasing,
  arcOf,
  corner,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { edits } from '../edits/edits';
import { incrementTable } from '../spacing/increments';
import { fc } from '../testing/property';
import type { Easing, Mark, Move, Shot } from '../model/schema';
import { easedDistance } from './easedDistance';
import { fractionAt, spansOf } from './placeInTime';
import { freshRamp, rampOf } from './easings/ramped';
import { withFrames } from './retime';

const ramped = (leaveFrames: number, arriveFrames: number, ramp: 'steady' | 'soft'): Easing => ({
  kind: 'ramped',
  leaveFrames,
  arriveFrames,
  ramp,
});

const mark = (frame: number, fraction: number, easing: Easing = { kind: 'even' }): Mark =>
  markAt(frame, fraction, { easing });

const moveWith = (...marks: Mark[]): Move => ({
  ...onlyMove(shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 500)),
  marks,
});

describe('ramped, 120 units in 20 frames, 6 and 6', () => {
  const at = (easing: Easing) => [1, 2, 3, 4, 5, 6, 7].map((x) => easedDistance(easing, x, 20, 120));

  test('steady', () => {
    expect(rampOf({ leaveFrames: 6, arriveFrames: 6 }, 20, 120).speed).toBeCloseTo(8.5714, 4);
    const expected = [0.714, 2.857, 6.429, 11.429, 17.857, 25.714, 34.286];
    at(ramped(6, 6, 'steady')).forEach((s, i) => expect(s).toBeCloseTo(expected[i]!, 3));
  });

  test('soft', () => {
    const expected = [0.193, 1.483, 4.672, 10.054, 17.336, 25.714, 34.286];
    at(ramped(6, 6, 'soft')).forEach((s, i) => expect(s).toBeCloseTo(expected[i]!, 3));
  });

  test('arrives as it leaves', () => {
    for (const ramp of ['steady', 'soft'] as const)
      for (let x = 0; x <= 20; x++)
        expect(easedDistance(ramped(6, 6, ramp), 20 - x, 20, 120)).toBeCloseTo(
          120 - easedDistance(ramped(6, 6, ramp), x, 20, 120),
          9,
        );
  });
});

test('leaving and arriving shrink in proportion when they do not fit', () => {
  const ramp = rampOf({ leaveFrames: 20, arriveFrames: 10 }, 15, 100);
  expect(ramp.leaveFrames).toBeCloseTo(10, 9);
  expect(ramp.arriveFrames).toBeCloseTo(5, 9);
  expect(easedDistance(ramped(20, 10, 'steady'), 10, 15, 100)).toBeCloseTo(100 * (10 / 15), 9);
});

test('every easing starts at 0, ends at the distance, and never turns back', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 300 }).chain((n) => fc.tuple(fc.constant(n), anyEasing(n))),
      fc.double({ min: -1000, max: 1000, noNaN: true }),
      ([n, easing], distance) => {
        expect(easedDistance(easing, 0, n, distance)).toBe(0);
        expect(easedDistance(easing, n, n, distance)).toBe(distance);
        let before = 0;
        for (let x = 0; x <= n; x += 0.5) {
          const s = easedDistance(easing, x, n, distance) * Math.sign(distance);
          expect(s).toBeGreaterThanOrEqual(before - 1e-9);
          before = s;
        }
      },
    ),
    { numRuns: 80 },
  );
});

describe('marks', () => {
  test('even from 1 to 120: frame 60 is at 49.58 %', () => {
    expect(100 * fractionAt(moveWith(mark(1, 0), mark(120, 1)), 60)).toBeCloseTo(49.58, 2);
  });

  test('several even spans have their own paces; frame 195 is at 47.5 %', () => {
    const move = moveWith(mark(0, 0), mark(140, 0.4), mark(250, 0.55), mark(400, 1));
    const pace = (f: number) => 100 * (fractionAt(move, f + 1) - fractionAt(move, f));
    expect(pace(50)).toBeCloseTo(0.2857, 4);
    expect(pace(200)).toBeCloseTo(0.1364, 4);
    expect(pace(300)).toBeCloseTo(0.3, 4);
    expect(100 * fractionAt(move, 195)).toBeCloseTo(47.5, 9);
  });

  test('a move holds before its first mark, between equal marks, and after its last', () => {
    const move = moveWith(mark(10, 0.2), mark(20, 0.6), mark(30, 0.6), mark(40, 1));
    expect(fractionAt(move, 1)).toBe(0.2);
    expect(fractionAt(move, 25)).toBe(0.6);
    expect(fractionAt(move, 99)).toBe(1);
    expect(spansOf(move).map((span) => span.isHold)).toEqual([false, true, false]);
  });

  test('a move can run backwards', () => {
    const move = moveWith(mark(1, 1), mark(11, 0));
    expect(fractionAt(move, 6)).toBeCloseTo(0.5, 9);
  });
});

describe('first and last frame', () => {
  const move = moveWith(mark(1, 0), mark(25, 0.4), mark(33, 0.4), mark(57, 1));

  test('the marks between keep their share of the time, on whole frames', () => {
    expect(withFrames(move, 1, 113).marks.map((m) => m.frame)).toEqual([1, 49, 65, 113]);
    expect(withFrames(move, 11, 67).marks.map((m) => m.frame)).toEqual([11, 35, 43, 67]);
  });

  test('marks never meet, however short the move', () => {
    expect(withFrames(move, 5, 8).marks.map((m) => m.frame)).toEqual([5, 6, 7, 8]);
    expect(() => withFrames(move, 5, 7)).toThrow('at least 4 frames');
  });
});

test('a fresh move leaves and arrives over a quarter of its frames each', () => {
  expect(freshRamp(48)).toMatchObject({ leaveFrames: 12, arriveFrames: 12, ramp: 'steady' });
});

test('leaving and arriving stretch with the move: every increment changes by one factor', () => {
  const ramp = (leaveFrames: number, arriveFrames: number) =>
    ({ kind: 'ramped', leaveFrames, arriveFrames, ramp: 'steady' }) as const;
  const shot = withMarks(
    straightShot(300, 61),
    markAt(1, 0, { easing: ramp(6, 6) }),
    markAt(21, 0.3, { easing: ramp(3, 8) }),
    markAt(41, 0.7, { easing: ramp(10, 2) }),
    markAt(61, 1),
  );
  const longer = edits.setLength(shot, { lengthFrames: 91 });
  const largest = (some: Shot, from: number, until: number): number =>
    incrementTable(some, onlyMove(some))
      .rows.filter(({ frame }) => frame > from && frame <= until)
      .reduce((most, { along }) => Math.max(most, along!), 0);
  for (const [from, until, stretchedFrom, stretchedUntil] of [
    [1, 21, 1, 31],
    [21, 41, 31, 61],
    [41, 61, 61, 91],
  ] as const)
    expect(largest(shot, from, until) / largest(longer, stretchedFrom, stretchedUntil)).toBeCloseTo(1.5, 9);
  const back = edits.setLength(longer, { lengthFrames: 61 });
  expect(onlyMove(back).marks).toEqual(onlyMove(shot).marks);
});
