import { anyArc, anyEasing, arcOf, circle, corner, cubicArc, onlyMove, shotAlong } from '../testing/shapes';
import { fc } from '../testing/property';
import { edits } from '../edits/edits';
import type { FramesHeld, Shot } from '../model/schema';
import { evaluate } from '../motion/evaluate';
import { arrivalShown, exposuresOf } from '../exposure/exposures';
import { shownFrame } from '../exposure/shownFrames';
import { extremeIncrements, incrementTable, seenRow } from './increments';
import { roundToStep } from '../exposure/roundToStep';
import { ticksOf, ticksPath } from './ticks';
import { unrolledArc } from './unrolledArc';

const line120 = arcOf([corner(0, 0), corner(120, 0)]);
const steady66 = { kind: 'ramped', leaveFrames: 6, arriveFrames: 6, ramp: 'steady' } as const;
const held = (shot: Shot, framesHeld: FramesHeld): Shot =>
  edits.setFramesHeld(shot, { moveId: onlyMove(shot).id, framesHeld });

describe('exposures', () => {
  test('on ones, 21 frames make 21 positions and 20 increments', () => {
    const shot = shotAlong(line120, 21);
    const { rows } = incrementTable(shot, onlyMove(shot));
    expect(rows).toHaveLength(21);
    expect(rows.filter((row) => row.along !== null)).toHaveLength(20);
  });

  test('on twos every frame shows the first frame of its exposure, counted from the move', () => {
    const shot = edits.setMoveFrames(held(shotAlong(line120, 40), 2), {
      moveId: 'move1',
      first: 4,
      last: 20,
    });
    const move = onlyMove(shot);
    expect([3, 4, 5, 6, 7, 8].map((f) => shownFrame(move, shot, f))).toEqual([1, 4, 4, 6, 6, 8]);
  });

  test('the last exposure stays to the end of the shot', () => {
    const shot = edits.setMoveFrames(shotAlong(line120, 40), { moveId: 'move1', first: 1, last: 31 });
    const exposures = exposuresOf(onlyMove(shot), shot);
    expect(exposures[exposures.length - 1]).toEqual({ frame: 31, framesHeld: 10 });
  });

  test('an arrival between exposures is seen on the next one, or never when the shot is over', () => {
    const long = edits.setMoveFrames(held(shotAlong(line120, 40), 2), {
      moveId: 'move1',
      first: 1,
      last: 20,
    });
    expect(arrivalShown(onlyMove(long), long)).toBe(21);
    expect(incrementTable(long, onlyMove(long)).rows.at(-1)).toMatchObject({
      frame: 21,
      arcDistance: 120,
      framesHeld: 20,
    });
    const short = held(shotAlong(line120, 20), 2);
    expect(arrivalShown(onlyMove(short), short)).toBeNull();
    expect(exposuresOf(onlyMove(short), short).at(-1)).toEqual({ frame: 19, framesHeld: 2 });
  });
});

describe('increments', () => {
  test('200 units in 20 intervals are 10.00 a frame, and 15.71 on the half circle over the same ends', () => {
    const straight = shotAlong(arcOf([corner(0, 0), corner(200, 0)]), 21);
    expect(incrementTable(straight, onlyMove(straight)).rows[7]!.along).toBeCloseTo(10, 9);
    const points = circle(100).points.slice(0, 9);
    const half = edits.redrawArc(straight, { arcId: 'arc1', points });
    expect(incrementTable(half, onlyMove(half)).rows[7]!.along).toBeCloseTo(15.71, 2);
  });

  test('on a circle of radius 100 in 20 intervals: 31.42 along, 31.29 straight across', () => {
    const shot = shotAlong(circle(100), 21);
    const row = incrementTable(shot, onlyMove(shot)).rows[5]!;
    expect(row.along).toBeCloseTo(31.42, 2);
    expect(row.straight).toBeCloseTo(31.29, 2);
    expect(row.headingChangeDeg).toBeCloseTo(18, 2);
  });

  test('increments add up to the length, straight ones are never longer', () => {
    fc.assert(
      fc.property(anyArc, anyEasing(30), fc.constantFrom<FramesHeld>(1, 2, 3), (arc, easing, framesHeld) => {
        const shot = held(shotAlong(arc, 31, easing), framesHeld);
        const { rows, arcLength } = incrementTable(shot, onlyMove(shot));
        const sum = rows.reduce((total, row) => total + (row.along ?? 0), 0);
        expect(Math.abs(sum - arcLength)).toBeLessThanOrEqual(1e-9 * (1 + arcLength));
        for (const row of rows)
          if (row.along !== null)
            expect(row.straight!).toBeLessThanOrEqual(Math.abs(row.along) + 1e-6 * (1 + arcLength));
      }),
    );
  });

  test('are in millimetres once the shot has a scale', () => {
    const scaled = edits.setSheet(edits.setScale(shotAlong(line120, 21), { unitsPerMm: 4 }), { units: 'mm' });
    const table = incrementTable(scaled, onlyMove(scaled));
    expect(table.arcLength).toBe(30);
    expect(table.rows[1]!.along).toBeCloseTo(1.5, 9);
    expect(table.rows[20]).toMatchObject({ arcDistance: 30, x: 30, percent: 100 });
  });

  test('the largest and the smallest are named with their frames', () => {
    const shot = shotAlong(line120, 21, steady66);
    const { largest, smallest } = extremeIncrements(incrementTable(shot, onlyMove(shot)));
    expect(largest!.along).toBeCloseTo(8.571, 3);
    expect(smallest).toMatchObject({ frame: 2 });
  });
});

describe('rounding to a ruler', () => {
  test('the steady case to 0.5 adds up to 120', () => {
    const shot = edits.setSheet(shotAlong(line120, 21, steady66), { rulerStep: 0.5 });
    const { rows } = incrementTable(shot, onlyMove(shot));
    expect(rows.slice(1).map((row) => row.ruler)).toEqual([
      0.5, 2.5, 3.5, 5, 6.5, 7.5, 9, 8.5, 8.5, 8.5, 8.5, 8.5, 8.5, 9, 7.5, 6.5, 5, 3.5, 2.5, 0.5,
    ]);
    expect(rows.at(-1)!.rulerTotal).toBe(120);
  });

  test('goes half away from zero', () => {
    expect([0.25, -0.25, 0.74, -0.75].map((v) => roundToStep(v, 0.5))).toEqual([0.5, -0.5, 0.5, -1]);
    expect(roundToStep(0.3, 0.1)).toBe(0.3);
    expect(Object.is(roundToStep(-0.01, 0.5), 0)).toBe(true);
  });

  test('rounded increments always add up to the rounded total', () => {
    fc.assert(
      fc.property(anyEasing(40), fc.constantFrom(0.1, 0.25, 0.5, 1, 3), (easing, rulerStep) => {
        const arc = cubicArc([0, 0], [37, 211], [150, -40], [301, 77]);
        const shot = edits.setSheet(shotAlong(arc, 41, easing), { rulerStep });
        const { rows } = incrementTable(shot, onlyMove(shot));
        const sum = rows.reduce((total, row) => total + (row.ruler ?? 0), 0);
        expect(sum).toBeCloseTo(roundToStep(rows.at(-1)!.total, rulerStep), 9);
      }),
    );
  });
});

test('on every frame the row of its exposure is seen', () => {
  const shot = edits.setMoveFrames(held(shotAlong(line120, 40), 3), { moveId: 'move1', first: 4, last: 20 });
  const table = incrementTable(shot, onlyMove(shot));
  expect([1, 3, 4, 6, 7, 21, 40].map((f) => seenRow(table, f).frame)).toEqual([1, 1, 4, 4, 7, 19, 22]);
});

test('ticks stand across the arc, at multiples of five longer', () => {
  const shot = shotAlong(line120, 21);
  const ticks = ticksOf(evaluate(shot).travels[0]!, shot);
  expect(ticks[5]).toMatchObject({ frame: 6, arcDistance: 30, x: 30, isFifth: false });
  expect(ticks[5]!.acrossY).toBeCloseTo(1, 12);
  expect(ticks.filter((tick) => tick.isFifth).map((tick) => tick.frame)).toEqual([5, 10, 15, 20]);
  const twos = held(shot, 2);
  const onTwos = ticksOf(evaluate(twos).travels[0]!, twos).filter((tick) => tick.isFifth);
  expect(onTwos.map((tick) => tick.frame)).toEqual([1, 11, 21]);
  expect(ticksPath(ticks.slice(5, 6), 4)).toBe('M30 -4L30 4');
});

describe('the unrolled arc', () => {
  test('has a tick for each exposure and as many at constant speed', () => {
    const shot = shotAlong(line120, 21, steady66);
    const ruler = unrolledArc(shot, onlyMove(shot));
    expect(ruler).toMatchObject({ from: 0, to: 120, units: 'field' });
    expect(ruler.ticks[6]!.arcDistance).toBeCloseTo(25.714, 3);
    expect(ruler.even[6]).toBeCloseTo(36, 9);
    expect(ruler.even).toHaveLength(21);
  });

  test('keeps the ticks that an edit leaves where they are, and makes the others anew', () => {
    const shot = shotAlong(line120, 21, steady66);
    const before = unrolledArc(shot, onlyMove(shot)).ticks;
    const moved = edits.moveTick(shot, { moveId: 'move1', frame: 11, fraction: 0.52, reachFrames: 2 });
    const { ticks } = unrolledArc(moved, onlyMove(moved));
    const made = ticks.filter((tick, i) => tick !== before[i]).map(({ frame }) => frame);
    expect(made).toContain(11);
    // An increment ends at its tick, so the one after those that moved is another one, too.
    expect(made.every((frame) => frame >= 9 && frame <= 14)).toBe(true);
    const anew = structuredClone(moved);
    expect(ticks).toEqual(unrolledArc(anew, onlyMove(anew)).ticks);
  });

  test('joins the two marks of a hold into one post, and compares nothing when the move turns back', () => {
    const base = shotAlong(line120, 41);
    const at = (frame: number, fraction: number) => ({
      ...onlyMove(base).marks[0]!,
      id: `m${frame}`,
      frame,
      fraction,
    });
    const withMarks = (...marks: ReturnType<typeof at>[]): Shot => ({
      ...base,
      moves: [{ ...onlyMove(base), marks }],
    });
    const held = withMarks(at(1, 0), at(10, 0.5), at(20, 0.5), at(41, 1));
    expect(
      unrolledArc(held, onlyMove(held)).posts.map(({ frame, untilFrame, arcDistance }) => [
        frame,
        untilFrame,
        arcDistance,
      ]),
    ).toEqual([
      [1, 1, 0],
      [10, 20, 60],
      [41, 41, 120],
    ]);
    const back = withMarks(at(1, 0), at(20, 1), at(41, 0.25));
    expect(unrolledArc(back, onlyMove(back)).even).toEqual([]);
  });
});

test('a tick is drawn from one side of the arc to the other', () => {
  const upright = { x: 30, y: 10, acrossX: 0, acrossY: 1 };
  const oblique = { x: 0, y: 0, acrossX: 0.6, acrossY: -0.8 };
  expect(ticksPath([upright, oblique], 5)).toBe('M30 5L30 15M-3 4L3 -4');
  expect(ticksPath([{ ...upright, x: 1.2345 }], 5, 1)).toBe('M1.2 5L1.2 15');
});
