import { edits } from '../edits/edits';
import { chartOf } from '../timing/easings/ticks';
import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { incrementsBySize, paceRows } from './incrementCharts';
import { incrementTable } from './increments';

const moveId = 'move1';
/** Increments of 10, 20, 30 and 40, then a hold. */
const shot = withMarks(
  straightShot(100, 9),
  markAt(1, 0, { easing: chartOf([0.1, 0.3, 0.6, 1]) }),
  markAt(5, 1),
  markAt(9, 1),
);

test('pace is the step over the frames that it takes', () => {
  expect(paceRows(incrementTable(shot, onlyMove(shot))).map(({ pace }) => pace)).toEqual([
    ...[10, 20, 30, 40].map((pace) => expect.closeTo(pace, 9) as number),
    0,
    0,
    0,
    0,
  ]);
  const twos = edits.setFramesHeld(shot, { moveId, framesHeld: 2 });
  expect(paceRows(incrementTable(twos, onlyMove(twos))).slice(0, 2)).toEqual([
    { frame: 3, pace: expect.closeTo(15, 9) as number },
    { frame: 5, pace: expect.closeTo(35, 9) as number },
  ]);
});

test('increments by size, holds left out; the largest is in the last class', () => {
  const table = incrementTable(shot, onlyMove(shot));
  expect(incrementsBySize(table, 4).map(({ count }) => count)).toEqual([1, 1, 1, 1]);
  expect(incrementsBySize(table, 2)).toEqual([
    { from: 0, to: expect.closeTo(20, 9) as number, count: 2 },
    { from: expect.closeTo(20, 9) as number, to: expect.closeTo(40, 9) as number, count: 2 },
  ]);
  const still = withMarks(straightShot(100, 9), markAt(1, 0.5), markAt(9, 0.5));
  expect(incrementsBySize(incrementTable(still, onlyMove(still)), 4)).toEqual([]);
});
