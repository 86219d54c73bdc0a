import { pointAtDistance } from '../arc/arcMeasure';
import { edits } from '../edits/edits';
import { evaluate } from '../motion/evaluate';
import { arcOf, corner, markAt, onlyMove, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { cubicEasing } from './cubicEasing';
import { spanIndexAt } from './placeInTime';
import { freshEasingOf } from './retime';

const moveId = 'move1';

test('a frame with a mark belongs to the span that starts there', () => {
  const move = { marks: [1, 5, 9, 20].map((frame) => markAt(frame, frame / 20)) };
  expect([1, 4, 5, 8, 9, 19].map((frame) => spanIndexAt(move, frame))).toEqual([0, 0, 1, 1, 2, 2]);
});

test('spots are kept on an arc that shrinks to nothing', () => {
  const shot = withMarks(
    shotAlong(arcOf([corner(0, 0), corner(100, 0)]), 21),
    markAt(1, 0.25),
    markAt(21, 1),
  );
  const spots = edits.setKeeps(shot, { moveId, keeps: 'spots' });
  const nothing = edits.movePoint(spots, { arcId: 'arc1', pointId: 'p2', to: { x: 0, y: 0 } });
  expect(onlyMove(nothing).marks.map(({ fraction }) => fraction)).toEqual([0.25, 1]);
});

test('a change on the first frame alone is seen there', () => {
  const shot = withMarks(straightShot(100, 5), markAt(1, 0), markAt(2, 0.5), markAt(5, 1));
  expect(evaluate(shot).travels[0]!.x[0]).toBe(0);
  const moved = withMarks(shot, markAt(1, 0.2), ...onlyMove(shot).marks.slice(1));
  expect(evaluate(moved).travels[0]!.x[0]).toBeCloseTo(20, 9);
  expect(pointAtDistance(moved.arcs[0]!, 20).x).toBeCloseTo(20, 9);
});

test('a hold of one frame is a hold', () => {
  const shot = straightShot(100, 11);
  const held = edits.insertHold(shot, { moveId, frame: 6, frames: 1, takesLater: true });
  expect(onlyMove(held).marks.map(({ frame, fraction }) => [frame, fraction])).toEqual([
    [1, 0],
    [6, 0.5],
    [7, 0.5],
    [12, 1],
  ]);
  expect(() => edits.insertHold(shot, { moveId, frame: 6, frames: 0, takesLater: true })).toThrow(
    'A hold lasts at least one frame.',
  );
  // Before a mark that stays there has to be room for it.
  expect(() => edits.insertHold(shot, { moveId, frame: 10, frames: 1, takesLater: false })).toThrow(
    'There are only 1 frames to the next mark',
  );
});

test('an easing with upright handles is exact in its middle, where Newton’s method gives up', () => {
  // With the same handles across and up it is the identity.
  for (const x of [0.5, 0.5000001, 0.499999, 0.4999, 0.1, 0.93])
    expect(cubicEasing(x, { x1: 1, y1: 1, x2: 0, y2: 0 })).toBeCloseTo(x, 9);
});

test('a chart begins as the easing that was there before', () => {
  const before = { kind: 'ramped', leaveFrames: 2, arriveFrames: 2, ramp: 'steady' } as const;
  expect(freshEasingOf('ticks', 4, before)).toEqual({
    kind: 'ticks',
    fractions: [0.125, 0.5, 0.875, 1].map((share) => expect.closeTo(share, 9)),
  });
});
