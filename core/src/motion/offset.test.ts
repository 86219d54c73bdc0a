import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { arcOf, circle, corner, onlyMove, shotAlong } from '../testing/shapes';
import { evaluate } from './evaluate';
import { offsetFrom, offsetInField } from './offset';

const moveId = 'move1';
/** Down, so that the direction is 90°. */
const down = shotAlong(arcOf([corner(100, 0), corner(100, 400)]), 41);
const pivotOn = (shot: Shot, frame: number) => {
  const { pivotX, pivotY } = evaluate(shot).travels[0]!;
  return [pivotX[frame - 1]!, pivotY[frame - 1]!].map((value) => Number(value.toFixed(9)));
};
const offset = (shot: Shot, frame: number, x: number, y: number, reach?: 'here' | 'after' | 'before') =>
  edits.setOffset(shot, { moveId, frame, x, y, reach });
const riding = (shot: Shot): Shot => edits.setOffsetIn(shot, { moveId, offsetIn: 'riding' });

test('forward 5 and right 10 on an arc that goes down at (100, 0) is (90, 5)', () => {
  expect(pivotOn(offset(riding(down), 1, 5, 10), 1)).toEqual([90, 5]);
  expect(pivotOn(offset(down, 1, 5, 10), 1)).toEqual([105, 10]);
});

test('without an offset the pivot lies on the place; with one the place and the increments stay', () => {
  const { x, y, pivotX, pivotY } = evaluate(down).travels[0]!;
  expect([pivotX, pivotY]).toEqual([x, y]);
  const off = evaluate(offset(down, 1, 50, 0)).travels[0]!;
  expect(off.x).toEqual(x);
  expect(off.arcDistance).toEqual(evaluate(down).travels[0]!.arcDistance);
});

test('an offset goes for all frames, for this key, from here on or up to here', () => {
  const all = offset(down, 11, 10, 0);
  expect([pivotOn(all, 1), pivotOn(all, 41)]).toEqual([
    [110, 0],
    [110, 400],
  ]);
  const onward = offset(offset(all, 41, 10, 0, 'here'), 31, 30, 0, 'after');
  expect([pivotOn(onward, 11)[0], pivotOn(onward, 31)[0], pivotOn(onward, 41)[0]]).toEqual([110, 130, 130]);
  const upTo = offset(offset(all, 41, 10, 0, 'here'), 31, 30, 0, 'before');
  expect([pivotOn(upTo, 11)[0], pivotOn(upTo, 31)[0], pivotOn(upTo, 41)[0]]).toEqual([130, 130, 110]);
  // Everything moves by the same, and no key is added.
  const moved = offset(onward, 21, 0, 0);
  expect(onlyMove(moved).tracks.offsetX).toHaveLength(3);
  expect(pivotOn(moved, 41)[0]! - pivotOn(moved, 11)[0]!).toBeCloseTo(20, 9);
});

test('the other way of being offset leaves the figure where it is on every key, and back again', () => {
  const round = offset(offset(shotAlong(circle(100), 41), 1, 20, -5, 'here'), 30, 7, 40, 'here');
  const turned = riding(round);
  for (const frame of [1, 30]) {
    const [a, b] = [pivotOn(round, frame), pivotOn(turned, frame)];
    expect(Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!)).toBeLessThan(1e-8);
  }
  const back = edits.setOffsetIn(turned, { moveId, offsetIn: 'field' });
  expect(onlyMove(back).tracks.offsetX[1]!.value).toBeCloseTo(7, 9);
  expect(edits.setOffsetIn(back, { moveId, offsetIn: 'field' })).toBe(back);
  expect(onlyMove(edits.clearOffset(back, { moveId })).tracks).toMatchObject({ offsetX: [], offsetY: [] });
});

test.each([0, 33, -120, 725])('an offset that makes a displacement is its inverse, at %i°', (direction) => {
  const by = { x: 3, y: -8 };
  const there = offsetInField('riding', offsetFrom('riding', by, direction), direction);
  expect(there.x).toBeCloseTo(3, 12);
  expect(there.y).toBeCloseTo(-8, 12);
});
