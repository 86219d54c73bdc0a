import { straightShot } from '../../testing/bench';
import { rangeOf } from './RangeCard';

test('all frames are played where none are picked, and never more than there are', () => {
  const shot = straightShot(21);
  expect(rangeOf(shot, null)).toEqual({ from: 1, until: 21 });
  expect(rangeOf(shot, { from: 5, until: 9 })).toEqual({ from: 5, until: 9 });
  expect(rangeOf(shot, { from: 5, until: 40 })).toEqual({ from: 5, until: 21 });
});
