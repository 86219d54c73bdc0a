import { circle, markAt, onlyMove, shotAlong, straightShot, withMarks } from '../testing/shapes';
import { edits } from '../edits/edits';
import type { Shot } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { framesOnArcRange, frameRangeWithin, arcRangeOn } from '../motion/arcRange';
import { exposureFrames, exposuresOf, marksBetweenExposures } from './exposures';
import { incrementTable } from '../spacing/increments';
import { picturesOn } from './pictures';
import { ticksOf } from '../spacing/ticks';

const moveId = 'move1';
const exposed = (shot: Shot): string[] =>
  exposuresOf(onlyMove(shot), shot).map(({ frame, framesHeld }) => `${frame}×${framesHeld}`);
const table = (shot: Shot) => incrementTable(shot, onlyMove(shot));
const steps = (shot: Shot): number[] =>
  table(shot)
    .rows.slice(1)
    .map(({ along }) => Math.round(along! * 1e6) / 1e6);
const travelOf = (shot: Shot) => evaluate(shot).travels[0]!;

describe('exposures by ranges', () => {
  const mixed = (): Shot =>
    edits.setRangeHeld(edits.setFramesHeld(straightShot(120, 13), { moveId, framesHeld: 2 }), {
      moveId,
      from: 6,
      until: 8,
      framesHeld: 1,
    });

  test('a range begins with an exposure, and so does what follows it', () => {
    expect(exposed(mixed())).toEqual(['1×2', '3×2', '5×1', '6×1', '7×1', '8×1', '9×2', '11×2', '13×1']);
  });

  test('the positions follow from the plan', () => {
    expect(steps(mixed())).toEqual([20, 20, 10, 10, 10, 10, 20, 20]);
    expect(Array.from(travelOf(mixed()).shown)).toEqual([1, 1, 3, 3, 5, 6, 7, 8, 9, 9, 11, 11, 13]);
  });

  test('a later range takes its frames from an earlier one; neighbours alike become one', () => {
    const threes = edits.setRangeHeld(mixed(), { moveId, from: 7, until: 9, framesHeld: 3 });
    expect(onlyMove(threes).exposures).toEqual([
      { from: 6, until: 6, framesHeld: 1 },
      { from: 7, until: 9, framesHeld: 3 },
    ]);
    const joined = edits.setRangeHeld(mixed(), { moveId, from: 9, until: 10, framesHeld: 1 });
    expect(onlyMove(joined).exposures).toEqual([{ from: 6, until: 10, framesHeld: 1 }]);
    const plain = edits.setRangeHeld(mixed(), { moveId, from: 1, until: 13, framesHeld: 2 });
    expect(onlyMove(plain).exposures).toEqual([]);
  });

  test('go along with a hold that is inserted before them', () => {
    const later = edits.insertHold(mixed(), { moveId, frame: 3, frames: 4, takesLater: true });
    expect(onlyMove(later).exposures).toEqual([{ from: 10, until: 12, framesHeld: 1 }]);
  });

  test('marks that fall between exposures are told', () => {
    const shot = withMarks(mixed(), markAt(1, 0), markAt(4, 0.3), markAt(7, 0.5), markAt(13, 1));
    expect(
      marksBetweenExposures({ ...onlyMove(shot), exposures: onlyMove(mixed()).exposures }, shot),
    ).toEqual([4]);
  });
});

describe('a skipped exposure', () => {
  test('merges its gaps and leaves the length; it can be brought back', () => {
    const shot = edits.skipExposure(straightShot(100, 11), { moveId, frame: 4, closesUp: false });
    expect(steps(shot)).toEqual([10, 10, 20, 10, 10, 10, 10, 10, 10]);
    expect(exposed(shot).slice(2, 4)).toEqual(['3×2', '5×1']);
    expect(table(shot).skipped).toEqual([
      { frame: 4, framesHeld: 1, arcDistance: expect.closeTo(30, 9), isCut: false },
    ]);
    expect(steps(edits.bringBack(shot, { moveId, frame: 4 }))).toEqual(Array(10).fill(10));
  });

  test('or is taken out with its frames: all others keep their places, the shot is shorter', () => {
    const steady = straightShot(120, 21, { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' });
    const before = Array.from(travelOf(steady).arcDistance);
    const shot = edits.skipExposure(steady, { moveId, frame: 4, closesUp: true });
    expect(shot.lengthFrames).toBe(20);
    const after = Array.from(travelOf(shot).arcDistance);
    after.forEach((s, i) => expect(s).toBeCloseTo(before[i < 3 ? i : i + 1]!, 9));
    expect(table(shot).skipped).toEqual([
      { frame: 4, framesHeld: 1, arcDistance: expect.closeTo(6.428571, 5), isCut: true },
    ]);
    const back = edits.bringBack(shot, { moveId, frame: 4 });
    expect(back.lengthFrames).toBe(21);
    Array.from(travelOf(back).arcDistance).forEach((s, i) => expect(s).toBeCloseTo(before[i]!, 9));
    expect(onlyMove(back).skips).toEqual([]);
  });

  test('two taken out before one frame come back in their order', () => {
    const once = edits.skipExposure(straightShot(100, 11), { moveId, frame: 4, closesUp: true });
    const twice = edits.skipExposure(once, { moveId, frame: 4, closesUp: true });
    expect(steps(twice)).toEqual([10, 10, 30, 10, 10, 10, 10, 10]);
    const one = edits.bringBack(twice, { moveId, frame: 4 });
    expect(steps(one)).toEqual([10, 10, 10, 20, 10, 10, 10, 10, 10]);
    expect(steps(edits.bringBack(one, { moveId, frame: 5 }))).toEqual(Array(10).fill(10));
  });

  test('the first stays, and so does one with a mark when its frames are to go', () => {
    const shot = straightShot(100, 11);
    expect(() => edits.skipExposure(shot, { moveId, frame: 1, closesUp: false })).toThrow('first picture');
    const marked = edits.addMark(shot, { moveId, frame: 5 });
    expect(() => edits.skipExposure(marked, { moveId, frame: 5, closesUp: true })).toThrow(
      'There is a mark on',
    );
    expect(steps(edits.skipExposure(marked, { moveId, frame: 5, closesUp: false }))[3]).toBe(20);
  });
});

describe('a frame that is put by hand', () => {
  const put = (): Shot => edits.putByHand(straightShot(100, 11), { moveId, frame: 4, dx: 3, dy: 4 });

  test('stands off the plan, and the others do not move', () => {
    const { x, y, arcDistance } = travelOf(put());
    expect([x[3], y[3], arcDistance[3]]).toEqual([33, 4, expect.closeTo(33, 6)]);
    expect([x[2], x[4]]).toEqual([20, 40]);
    const [, , , row, next] = table(put()).rows;
    expect(row).toMatchObject({ isByHand: true, dx: 13, dy: 4 });
    expect(row!.straight).toBeCloseTo(Math.hypot(13, 4), 9);
    expect(next!.straight).toBeCloseTo(Math.hypot(7, 4), 9);
  });

  test('goes back on the plan when it is told to, and along with its frame', () => {
    expect(steps(edits.backOnPlan(put(), { moveId }))).toEqual(Array(10).fill(10));
    const later = edits.insertHold(put(), { moveId, frame: 2, frames: 5, takesLater: true });
    expect(onlyMove(later).overrides).toEqual([{ frame: 9, dx: 3, dy: 4 }]);
  });

  test('across the seam of a closed arc it is on its lap', () => {
    const round = edits.putByHand(shotAlong(circle(100), 21), { moveId, frame: 21, dx: 0, dy: 12 });
    const { arcDistance, arcLength } = travelOf(round);
    expect(arcDistance[20]! - arcLength).toBeCloseTo(100 * Math.atan2(12, 100), 2);
  });
});

describe('so many pictures', () => {
  test('an open arc has an interval less than pictures, a closed one as many', () => {
    expect(picturesOn(false, { count: 20, framesHeld: 1, rate: 24 })).toMatchObject({
      intervals: 19,
      frames: 20,
    });
    expect(picturesOn(true, { count: 20, framesHeld: 2, rate: 12 })).toEqual({
      count: 20,
      intervals: 20,
      frames: 40,
      seconds: 40 / 12,
    });
  });

  test('20 on an open arc are 5.263 % apart, 20 on a circle 18°', () => {
    const open = edits.spreadPictures(straightShot(100, 48), { moveId, count: 20, manner: 'even' });
    expect(open.lengthFrames).toBe(20);
    expect(table(open).rows).toHaveLength(20);
    expect(table(open).rows[1]!.percent).toBeCloseTo(5.263, 3);
    const round = edits.spreadPictures(shotAlong(circle(100), 48), { moveId, count: 20, manner: 'even' });
    const { rows } = table(round);
    expect([rows.length, round.lengthFrames]).toEqual([20, 20]);
    rows.slice(1).forEach((row) => expect(row.headingChangeDeg).toBeCloseTo(18, 1));
    expect(rows[19]!.percent).toBeCloseTo(95, 6);
  });

  test('eased or as it is timed; on twos it takes twice the frames', () => {
    const twos = edits.setFramesHeld(straightShot(100, 48), { moveId, framesHeld: 2 });
    const eased = edits.spreadPictures(twos, { moveId, count: 9, manner: 'eased' });
    expect(onlyMove(eased).marks[0]!.easing).toMatchObject({ leaveFrames: 4, arriveFrames: 4 });
    expect(onlyMove(eased).marks[1]!.frame).toBe(17);
    const halted = withMarks(straightShot(100, 41), markAt(1, 0), markAt(21, 0.2), markAt(41, 1));
    const same = edits.spreadPictures(halted, { moveId, count: 21, manner: 'as-it-is' });
    expect(onlyMove(same).marks.map(({ frame }) => frame)).toEqual([1, 11, 21]);
    expect(() => edits.spreadPictures(halted, { moveId, count: 1, manner: 'even' })).toThrow('at least 2');
  });
});

describe('where and when', () => {
  const backAndForth = () =>
    travelOf(withMarks(straightShot(100, 21), markAt(1, 0), markAt(11, 1), markAt(21, 0)));

  test('a stretch of the arc has its frames, one run for each time through', () => {
    expect(framesOnArcRange(backAndForth(), { from: 35, to: 60 })).toEqual([
      { from: 5, until: 7 },
      { from: 15, until: 17 },
    ]);
    expect(framesOnArcRange(backAndForth(), { from: 41, to: 44 })).toEqual([]);
  });

  test('frames have their stretch', () => {
    expect(arcRangeOn(backAndForth(), { from: 8, until: 13 })).toEqual({ from: 70, to: 100 });
  });

  test('frames that a shortened shot has no more count as its last', () => {
    expect(frameRangeWithin({ from: 15, until: 40 }, 21)).toEqual({ from: 15, until: 21 });
    expect(arcRangeOn(backAndForth(), { from: 15, until: 40 })).toEqual({ from: 0, to: 60 });
    expect(arcRangeOn(backAndForth(), { from: 30, until: 40 })).toEqual({ from: 0, to: 0 });
  });

  test('round a closed arc every lap counts', () => {
    const twice = edits.moveMarks(shotAlong(circle(100), 41), {
      moveId,
      markIds: ['m2'],
      byFraction: 1,
      takesLater: false,
    });
    const travel = travelOf(twice);
    const quarter = travel.arcLength / 4;
    expect(framesOnArcRange(travel, { from: quarter, to: 2 * quarter })).toEqual([
      { from: 6, until: 11 },
      { from: 26, until: 31 },
    ]);
  });
});

test('ticks and rows are the same exposures', () => {
  const shot = edits.skipExposure(straightShot(100, 11), { moveId, frame: 4, closesUp: false });
  expect(ticksOf(travelOf(shot), shot).map(({ frame }) => frame)).toEqual(
    table(shot).rows.map(({ frame }) => frame),
  );
});

test('exposures are counted from the range they lie in, or from the end of the one before', () => {
  const shot = straightShot(100, 40);
  const move = {
    ...onlyMove(shot),
    framesHeld: 2 as const,
    exposures: [
      { from: 6, until: 11, framesHeld: 3 as const },
      { from: 15, until: 17, framesHeld: 1 as const },
    ],
  };
  expect(exposureFrames(move, 20)).toEqual([1, 3, 5, 6, 9, 12, 14, 15, 16, 17, 18, 20]);
});
