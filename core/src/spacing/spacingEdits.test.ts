import { markAt, onlyMove, straightShot, withMarks } from '../testing/shapes';
import { fc } from '../testing/property';
import { edits } from '../edits/edits';
import type { Easing, Shot } from '../model/schema';
import { incrementTable } from './increments';
import { evaluate } from '../motion/evaluate';
import { easedDistance } from '../timing/easedDistance';
import { nearestEasings } from '../timing/nearestEasing';
import { finestStep } from './finestStep';
import { ladderOf } from './ladder';

const moveId = 'move1';
const places = (shot: Shot): number[] =>
  Array.from(evaluate(shot).travels[0]!.arcDistance, (s) => Math.round(s * 1e6) / 1e6 + 0);
const steps = (shot: Shot): number[] =>
  incrementTable(shot, onlyMove(shot))
    .rows.slice(1)
    .map(({ along }) => Math.round(along! * 1e6) / 1e6 + 0);

/** 80 units in 8 even increments, and a hold after. */
const even = (): Shot => withMarks(straightShot(100, 12), markAt(1, 0), markAt(9, 0.8), markAt(12, 0.8));

describe('a dragged tick', () => {
  test('alone moves by itself', () => {
    const shot = edits.moveTick(even(), { moveId, frame: 5, fraction: 0.43, reachFrames: 0 });
    expect(places(shot).slice(0, 9)).toEqual([0, 10, 20, 30, 43, 50, 60, 70, 80]);
  });

  test('takes its neighbours along by the cosine of their distance', () => {
    // cos²(π/8) = 0.853553 a frame away, cos²(π/4) = 0.5 at two, cos²(3π/8) = 0.146447 at three.
    const shot = edits.moveTick(even(), { moveId, frame: 5, fraction: 0.45, reachFrames: 4 });
    expect(places(shot).slice(0, 9)).toEqual([
      0, 10.732233, 22.5, 34.267767, 45, 54.267767, 62.5, 70.732233, 80,
    ]);
  });

  test('never passes its neighbour, nor do they', () => {
    const alone = edits.moveTick(even(), { moveId, frame: 5, fraction: 0.9, reachFrames: 0 });
    expect(places(alone)[4]).toBe(50);
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        fc.double({ min: -1, max: 2, noNaN: true }),
        fc.integer({ min: 0, max: 9 }),
        (frame, fraction, reachFrames) => {
          const s = places(edits.moveTick(even(), { moveId, frame, fraction, reachFrames }));
          expect(s[0]).toBe(0);
          expect(s[8]).toBe(80);
          s.slice(1).forEach((place, i) => expect(place).toBeGreaterThanOrEqual(s[i]! - 1e-6));
        },
      ),
    );
  });

  test('on twos is a tick of an exposure; on a mark or in a hold there is none to drag', () => {
    const twos = edits.setFramesHeld(even(), { moveId, framesHeld: 2 });
    const shot = edits.moveTick(twos, { moveId, frame: 5, fraction: 0.5, reachFrames: 0 });
    expect(steps(shot)).toEqual([20, 30, 10, 20, 0]);
    expect(() => edits.moveTick(twos, { moveId, frame: 4, fraction: 0.5, reachFrames: 0 })).toThrow(
      'no tick',
    );
    expect(() => edits.moveTick(even(), { moveId, frame: 9, fraction: 0.5, reachFrames: 0 })).toThrow(
      'no tick',
    );
    expect(() => edits.moveTick(even(), { moveId, frame: 11, fraction: 0.5, reachFrames: 0 })).toThrow(
      'holds',
    );
  });
});

describe('a typed increment', () => {
  test('lets what follows adapt in proportion', () => {
    // 10, 10, then 18 leaves 42 for five.
    const shot = edits.setIncrement(even(), { moveId, frame: 4, increment: 0.18, moves: 'rest' });
    expect(steps(shot)).toEqual([10, 10, 18, 8.4, 8.4, 8.4, 8.4, 8.4, 0, 0, 0]);
  });

  test('that leads to a mark lets what comes before adapt', () => {
    // 24 to the mark leaves 56 for seven.
    const shot = edits.setIncrement(even(), { moveId, frame: 9, increment: 0.24, moves: 'rest' });
    expect(steps(shot)).toEqual([8, 8, 8, 8, 8, 8, 8, 24, 0, 0, 0]);
  });

  test('or moves the end, and all else keeps its increment', () => {
    const shot = edits.setIncrement(even(), { moveId, frame: 4, increment: 0.18, moves: 'end' });
    expect(steps(shot)).toEqual([10, 10, 18, 10, 10, 10, 10, 10, 0, 0, 0]);
    expect(onlyMove(shot).marks.map(({ fraction }) => Math.round(fraction * 100))).toEqual([0, 88, 88]);
  });

  test('that does not fit is refused with a way out', () => {
    expect(() => edits.setIncrement(even(), { moveId, frame: 4, increment: 0.7, moves: 'rest' })).toThrow(
      'past the mark on frame 9',
    );
    expect(() => edits.setIncrement(even(), { moveId, frame: 4, increment: 0.4, moves: 'end' })).toThrow(
      'The arc is too short',
    );
    const tied = edits.tieMark(even(), { moveId, markId: 'm12', pointId: 'p2' });
    expect(() => edits.setIncrement(tied, { moveId, frame: 4, increment: 0.11, moves: 'end' })).toThrow(
      'tied',
    );
    expect(() => edits.setIncrement(even(), { moveId, frame: 1, increment: 0.1, moves: 'rest' })).toThrow(
      'No increment leads to frame 1',
    );
  });
});

describe('drawn spacing', () => {
  test('keeps the total: the bars that nobody drew share what is left', () => {
    const drawn = [
      [3, 0.2],
      [4, 0.06],
    ] as const;
    const shot = edits.drawSpacing(even(), { moveId, markId: 'm1', drawn });
    // 20 and 6 leave 54 for six.
    expect(steps(shot).slice(0, 8)).toEqual([9, 20, 6, 9, 9, 9, 9, 9]);
  });

  test('when there is not enough for all, the last drawn bar holds and the others give way', () => {
    const shot = edits.drawSpacing(even(), {
      moveId,
      markId: 'm1',
      drawn: [
        [2, 0.6],
        [3, 0.4],
      ],
    });
    expect(steps(shot).slice(0, 8)).toEqual([40, 40, 0, 0, 0, 0, 0, 0]);
  });

  test('all bars drawn alike are even again', () => {
    const drawn = [2, 3, 4, 5, 6, 7, 8, 9].map((f) => [f, 0.01] as const);
    const shot = edits.drawSpacing(even(), { moveId, markId: 'm1', drawn });
    expect(steps(shot)[7]).toBe(1);
    expect(steps(shot).slice(0, 7)).toEqual(Array(7).fill(Math.round((79 / 7) * 1e6) / 1e6));
  });
});

describe('charts', () => {
  const key = (chart: Parameters<typeof edits.makeChart>[1]['chart'], lengthFrames = 5): number[] =>
    places(edits.makeChart(straightShot(100, lengthFrames), { moveId, markId: 'm1', chart }));

  test('three drawings between', () => {
    expect(key({ kind: 'even' })).toEqual([0, 25, 50, 75, 100]);
    expect(key({ kind: 'halves', toward: 'end' })).toEqual([0, 50, 75, 87.5, 100]);
    expect(key({ kind: 'halves', toward: 'start' })).toEqual([0, 12.5, 25, 50, 100]);
    expect(key({ kind: 'thirds', toward: 'end' })).toEqual([0, 66.666667, 88.888889, 96.296296, 100]);
    expect(key({ kind: 'favouring', percent: 50 })).toEqual([0, 25, 50, 75, 100]);
  });

  test('halves toward both ends have a middle when there is a drawing for it', () => {
    expect(key({ kind: 'halves', toward: 'both' }, 7)).toEqual([0, 12.5, 25, 50, 75, 87.5, 100]);
    expect(key({ kind: 'halves', toward: 'both' }, 6)).toEqual([0, 12.5, 25, 75, 87.5, 100]);
  });

  test('halves for the last few alone: the others stand evenly, and the last even step is halved', () => {
    // 15 drawings, the last 3 by halves: 12 even steps of 1/13, then a half, a quarter and two eighths of one.
    const end = key({ kind: 'halves', toward: 'end', last: 3 }, 17).map((place) => (place * 13) / 100);
    expect(end.map((place) => Math.round(place * 1e4) / 1e4)).toEqual([
      0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 12.5, 12.75, 12.875, 13,
    ]);
    const start = key({ kind: 'halves', toward: 'start', last: 3 }, 17);
    start.reverse().forEach((place, i) => expect(100 - place).toBeCloseTo((end[i]! * 100) / 13, 3));
    expect(key({ kind: 'halves', toward: 'end', last: 1 }, 4)).toEqual([0, 50, 75, 100]);
    expect(key({ kind: 'thirds', toward: 'end', last: 1 }, 4)).toEqual([0, 50, 83.333333, 100]);
  });

  test('halves for the last few toward both ends; where there are too few drawings all of them are', () => {
    // 7 drawings, 2 at each end: 3 stand evenly, on quarters.
    expect(key({ kind: 'halves', toward: 'both', last: 2 }, 9)).toEqual([
      0, 6.25, 12.5, 25, 50, 75, 87.5, 93.75, 100,
    ]);
    for (const toward of ['start', 'end', 'both'] as const)
      expect(key({ kind: 'halves', toward, last: 5 })).toEqual(key({ kind: 'halves', toward }));
  });

  test('the smallest step is told, and how many are finer than a hand places', () => {
    const halves = edits.makeChart(straightShot(100, 17), {
      moveId,
      markId: 'm1',
      chart: { kind: 'halves', toward: 'end' },
    });
    const ladder = ladderOf(halves, onlyMove(halves), 0);
    const all = finestStep(ladder, 100, 'field')!;
    expect(all.step).toBeCloseTo(100 / 2 ** 15, 12);
    // 50, 25, 12.5, 6.25, 3.125, 1.5625, 0.78125 can be placed; the nine after them cannot.
    expect(all).toMatchObject({ leastByHand: 0.5, tooFine: 9 });
    expect(finestStep(ladder, -100, 'mm')).toMatchObject({ leastByHand: 0.2, tooFine: 8 });
    expect(finestStep({ rungs: [] }, 100, 'mm')).toBeNull();
  });

  test('a single drawing that favours the end by 75 % stands there', () => {
    expect(key({ kind: 'favouring', percent: 75 }, 3)).toEqual([0, 75, 100]);
  });

  test('on twos the drawings are the exposures, and their number gives the frames', () => {
    const twos = edits.setFramesHeld(straightShot(100, 9), { moveId, framesHeld: 2 });
    const five = edits.setDrawingsBetween(twos, { moveId, markId: 'm1', count: 5, takesLater: true });
    expect(onlyMove(five).marks[1]!.frame).toBe(13);
    expect(five.lengthFrames).toBe(13);
    const chart = edits.makeChart(five, { moveId, markId: 'm1', chart: { kind: 'halves', toward: 'start' } });
    expect(steps(chart)).toEqual([3.125, 3.125, 6.25, 12.5, 25, 50]);
  });

  test('any easing becomes ticks without moving a frame', () => {
    const shot = straightShot(120, 21, { kind: 'bounce', count: 3, restitution: 0.6 });
    const ticks = edits.easingToTicks(shot, { moveId, markId: 'm1' });
    expect(onlyMove(ticks).marks[0]!.easing.kind).toBe('ticks');
    expect(places(ticks)).toEqual(places(shot));
  });
});

describe('the easing nearest to a chart', () => {
  const chartOf = (easing: Easing, frames: number) =>
    Array.from({ length: frames - 1 }, (_, i) => ({
      x: i + 1,
      share: easedDistance(easing, i + 1, frames, 1),
    }));

  test.each<[Easing, number]>([
    [{ kind: 'even' }, 12],
    [{ kind: 'snap' }, 12],
    [{ kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' }, 20],
    [{ kind: 'ramped', leaveFrames: 3, arriveFrames: 11, ramp: 'soft' }, 24],
    [{ kind: 'slow-place', at: 0.5, strength: 0.6 }, 24],
    [{ kind: 'settle', overshoot: 0.3, swings: 2 }, 30],
    [{ kind: 'bounce', count: 3, restitution: 0.6 }, 30],
    [{ kind: 'curve', x1: 0.7, y1: -0.4, x2: 0.2, y2: 1.3 }, 20],
  ])('is found again: %j in %i frames', (easing, frames) => {
    const [nearest] = nearestEasings(chartOf(easing, frames), frames);
    expect(nearest!.easing.kind).toBe(easing.kind);
    expect(nearest!.error).toBeLessThan(1e-3);
  });

  test('of a chart by halves is told with how far it is off', () => {
    const shares = [0.5, 0.75, 0.875].map((share, i) => ({ x: i + 1, share }));
    const [nearest, ...others] = nearestEasings(shares, 4);
    expect(nearest!.easing.kind).toBe('curve');
    const { easing, error } = others.find((one) => one.easing.kind === 'ramped')!;
    const off = shares.map(({ x, share }) => Math.abs(easedDistance(easing, x, 4, 1) - share));
    expect(error).toBeCloseTo(Math.max(...off), 12);
  });
});
