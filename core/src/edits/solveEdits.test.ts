import type { Easing } from '../model/schema';
import { shotSchema } from '../model/schema';
import { incrementTable } from '../spacing/increments';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { edits } from './edits';

const moveId = 'move1';
const ramp: Easing = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' };
const shot = withMarks(
  straightShot(240, 41),
  markAt(1, 0, { easing: ramp }),
  markAt(15, 0.5, { easing: ramp }),
  markAt(21, 0.5),
  markAt(41, 1),
);
const stepsOf = (of: typeof shot): number[] =>
  incrementTable(of, onlyMove(of)).rows.map((row) => Math.abs(row.along ?? 0));

test('no step of a span above so much: it gets the frames that takes, and later marks follow', () => {
  const slower = edits.keepSteps(shot, { moveId, markId: 'm1', most: 6, gives: 'frames' });
  expect(onlyMove(slower).marks.map(({ frame }) => frame)).toEqual([1, 27, 33, 53]);
  expect(Math.max(...stepsOf(slower).slice(0, 27))).toBeCloseTo(6, 9);
  expect([slower.lengthFrames, shotSchema.safeParse(slower).success]).toEqual([53, true]);
});

test('for the whole move: “no step above 4”; a hold stays one', () => {
  const slower = edits.keepSteps(shot, { moveId, markId: null, most: 4, gives: 'frames' });
  const [a, b, c, d] = onlyMove(slower).marks.map(({ frame }) => frame);
  expect([b! - a!, c! - b!, d! - c!]).toEqual([36, 6, 30]);
  expect(Math.max(...stepsOf(slower))).toBeLessThanOrEqual(4 + 1e-9);
  expect(edits.keepSteps(slower, { moveId, markId: null, most: 4, gives: 'frames' })).toEqual(slower);
});

test('the easing gives way where the frames are to stay', () => {
  const eased = edits.keepSteps(shot, { moveId, markId: 'm1', most: 10, gives: 'easing' });
  expect(onlyMove(eased).marks[0]!.easing).toMatchObject({ leaveFrames: 2, arriveFrames: 2 });
  expect(onlyMove(eased).marks.map(({ frame }) => frame)).toEqual([1, 15, 21, 41]);
});

test('what cannot be is said, and the shot stays as it is', () => {
  expect(() => edits.keepSteps(shot, { moveId, markId: 'm1', most: 8, gives: 'easing' })).toThrow(
    'Even at an even',
  );
  expect(() => edits.keepSteps(shot, { moveId, markId: 'm1', most: 0, gives: 'frames' })).toThrow('above 0');
});
