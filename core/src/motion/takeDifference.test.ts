import { edits } from '../edits/edits';
import { shotOfTake } from '../timing/takes';
import { markAt, straightShot, withMarks } from '../testing/shapes';
import { largestDifference, takeDifference, takeShift } from './takeDifference';

const moveId = 'move1';
/** 400 units in 20 frames; the other take passes the middle four frames later. */
const marks = [markAt(1, 0), markAt(11, 0.5, { kind: 'pass' as const }), markAt(21, 1)];
const first = edits.addTake(withMarks(straightShot(400, 21), ...marks), {});
const later = edits.moveMarks(first, { moveId, markIds: ['m11'], byFrames: 4, takesLater: false });
const other = shotOfTake(later, 'take1');

test('how far apart a figure is in two takes, frame by frame, and where most', () => {
  const rows = takeDifference(later, other, moveId, 0);
  expect(rows).toHaveLength(21);
  expect(rows[0]).toEqual({ frame: 1, away: 0 });
  // On frame 11 the other one is at 200, this one at 10 / 14 of it.
  expect(rows[10]!.away).toBeCloseTo(200 - (200 * 10) / 14, 9);
  expect(largestDifference(rows)).toMatchObject({ frame: 15, away: expect.closeTo(80, 9) as number });
  expect(largestDifference([])).toBeNull();
});

test('takes are laid on each other at their starts, their ends or at a mark', () => {
  const long = edits.stretchPassage(later, { moveId: null, from: 1, until: 21, frames: 30 });
  expect(takeShift(long, other, moveId, { at: 'start' })).toBe(0);
  expect(takeShift(long, other, moveId, { at: 'end' })).toBe(10);
  expect(takeShift(later, other, moveId, { at: 'mark', markId: 'm11' })).toBe(4);
  expect(takeShift(later, other, moveId, { at: 'mark', markId: 'm99' })).toBeNull();
  expect(takeShift(later, other, 'move9', { at: 'start' })).toBeNull();
  // At the mark both are in one place.
  const rows = takeDifference(later, other, moveId, 4);
  expect(rows.map(({ frame }) => frame)).toEqual(Array.from({ length: 17 }, (_, i) => i + 5));
  expect(rows.find(({ frame }) => frame === 15)!.away).toBeCloseTo(0, 9);
});
