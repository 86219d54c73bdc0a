import { edits } from '../edits/edits';
import { incrementTable } from '../spacing/increments';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { withRangeHeld } from './exposureRanges';

const moveId = 'move1';

test('ranges come in the order of time, however they were made, and equal neighbours are one', () => {
  const move = onlyMove(straightShot(100, 40));
  const late = withRangeHeld(move, { from: 30, until: 34, framesHeld: 2 });
  const both = withRangeHeld(late, { from: 4, until: 9, framesHeld: 3 });
  expect(both.exposures.map(({ from }) => from)).toEqual([4, 30]);
  const joined = withRangeHeld(both, { from: 10, until: 12, framesHeld: 3 });
  expect(joined.exposures).toEqual([
    { from: 4, until: 12, framesHeld: 3 },
    { from: 30, until: 34, framesHeld: 2 },
  ]);
});

test('a chart over pictures that are held unequally long goes straight between them', () => {
  // On twos over 8 frames, with a range on threes: the knots are not a regular row.
  const shot = edits.setRangeHeld(
    edits.setFramesHeld(withMarks(straightShot(90, 10), markAt(1, 0), markAt(10, 1)), {
      moveId,
      framesHeld: 2,
    }),
    { moveId, from: 5, until: 7, framesHeld: 3 },
  );
  const dragged = edits.moveTick(shot, { moveId, frame: 5, fraction: 0.5, reachFrames: 0 });
  const { arcDistance } = evaluate(dragged).travels[0]!;
  // Frames 3, 5 and 8 are pictures: 20, 45 and 70; between them nothing jumps.
  expect([3, 4, 5].map((frame) => arcDistance[frame - 1]!)).toEqual([
    expect.closeTo(20, 9),
    expect.closeTo(32.5, 9),
    expect.closeTo(45, 9),
  ]);
  expect(arcDistance[7]).toBeCloseTo(70, 9);
  expect(arcDistance[6]).toBeCloseTo(45 + (25 * 2) / 3, 9);
});

test('what is left out last was to be held to the end of the shot', () => {
  const skipped = edits.skipExposure(edits.setFramesHeld(straightShot(90, 10), { moveId, framesHeld: 3 }), {
    moveId,
    frame: 10,
    closesUp: false,
  });
  expect(incrementTable(skipped, onlyMove(skipped)).skipped).toMatchObject([{ frame: 10, framesHeld: 1 }]);
  const longer = { ...skipped, lengthFrames: 14 };
  expect(incrementTable(longer, onlyMove(longer)).skipped).toMatchObject([{ frame: 10, framesHeld: 5 }]);
});

test('a picture that is taken out makes a chart of its span alone', () => {
  const ramp = { kind: 'ramped', leaveFrames: 2, arriveFrames: 2, ramp: 'steady' } as const;
  const shot = withMarks(
    straightShot(100, 31),
    markAt(1, 0, { easing: ramp }),
    markAt(11, 0.3, { easing: ramp }),
    markAt(21, 0.6, { easing: ramp }),
    markAt(31, 1, { easing: ramp }),
  );
  const cut = edits.skipExposure(shot, { moveId: 'move1', frame: 15, closesUp: true });
  expect(onlyMove(cut).marks.map(({ easing }) => easing.kind)).toEqual([
    'ramped',
    'ticks',
    'ramped',
    'ramped',
  ]);
});

test('a picture with a mark on any of its frames cannot be taken out, one between marks can', () => {
  const shot = edits.setFramesHeld(
    withMarks(straightShot(100, 13), markAt(1, 0), markAt(6, 0.5), markAt(13, 1)),
    { moveId, framesHeld: 2 },
  );
  const out = (frame: number) => edits.skipExposure(shot, { moveId, frame, closesUp: true });
  // Frames 5 and 6 are one picture, and the mark stands on its second frame.
  expect(() => out(5)).toThrow('There is a mark on frame 6');
  expect(() => out(13)).toThrow('Only a picture between the first and the last mark');
  expect(onlyMove(out(7)).marks.map(({ frame }) => frame)).toEqual([1, 6, 11]);
  expect(onlyMove(out(3)).marks.map(({ frame }) => frame)).toEqual([1, 4, 11]);
});
