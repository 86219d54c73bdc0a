import { markAt, straightShot, withMarks } from '../testing/shapes';
import { evaluate } from './evaluate';
import { frameNearestTo } from './arcRange';

test('the frame nearest to a distance along the arc; of two there, the one nearest in time', () => {
  const thereAndBack = withMarks(straightShot(100, 21), markAt(1, 0), markAt(11, 1), markAt(21, 0));
  const travel = evaluate(thereAndBack).travels[0]!;
  expect(frameNearestTo(travel, 51, 1)).toBe(6);
  expect(frameNearestTo(travel, 50, 20)).toBe(16);
  expect(frameNearestTo(travel, 98, 20)).toBe(11);
  expect(frameNearestTo(travel, -500, 4)).toBe(1);
});
