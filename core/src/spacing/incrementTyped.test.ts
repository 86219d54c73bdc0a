import { edits } from '../edits/edits';
import {
  arcOf,
  circle,
  corner,
  markAt,
  onlyMove,
  shotAlong,
  straightShot,
  withMarks,
} from '../testing/shapes';
import { evaluate } from '../motion/evaluate';
import { ticksOf } from './ticks';
import { extremeIncrements, incrementTable } from './increments';

const moveId = 'move1';

/** Two spans of 40 and 60 units in 4 increments each. */
const shot = withMarks(straightShot(100, 9), markAt(1, 0), markAt(5, 0.4), markAt(9, 1));
const steps = (frame: number, increment: number): number[] => {
  const typed = edits.setIncrement(shot, { moveId, frame, increment: increment / 100, moves: 'rest' });
  return incrementTable(typed, onlyMove(typed))
    .rows.slice(1)
    .map(({ along }) => Math.round(along! * 1e6) / 1e6);
};

test('in a later span what follows adapts up to its mark, in proportion', () => {
  expect(steps(6, 30)).toEqual([10, 10, 10, 10, 30, 10, 10, 10]);
  expect(steps(7, 25)).toEqual([10, 10, 10, 10, 15, 25, 10, 10]);
});

test('where the increment leads to the mark, what comes before adapts', () => {
  expect(steps(9, 30)).toEqual([10, 10, 10, 10, 10, 10, 10, 30]);
  expect(steps(5, 25)).toEqual([5, 5, 5, 25, 15, 15, 15, 15]);
});

describe('the largest and the smallest increment', () => {
  const extremes = (...marks: Parameters<typeof withMarks>[1][]) => {
    const timed = withMarks(straightShot(100, 9), ...marks);
    const { largest, smallest } = extremeIncrements(incrementTable(timed, onlyMove(timed)));
    return [largest?.frame, smallest?.frame];
  };

  test('leave holds out, and of equal ones the first is named', () => {
    expect(extremes(markAt(1, 0), markAt(3, 0.4), markAt(6, 0.4), markAt(9, 1))).toEqual([2, 2]);
    expect(extremes(markAt(1, 0), markAt(3, 0.2), markAt(6, 0.2), markAt(9, 1))).toEqual([7, 2]);
  });

  test('count the way back as far as the way there', () => {
    expect(extremes(markAt(1, 0), markAt(5, 0.2), markAt(7, 1), markAt(9, 0.1))).toEqual([8, 2]);
  });

  test('are none where nothing moves', () => {
    expect(extremes(markAt(1, 0.3), markAt(9, 0.3))).toEqual([undefined, undefined]);
  });
});

test('each picture is held until the next, the last to the end of the shot', () => {
  const held = (lengthFrames: number, framesHeld: 1 | 2 | 3): number[] => {
    const timed = edits.setFramesHeld(
      withMarks(straightShot(100, lengthFrames), markAt(1, 0), markAt(6, 1)),
      {
        moveId,
        framesHeld,
      },
    );
    return incrementTable(timed, onlyMove(timed)).rows.map((row) => row.framesHeld);
  };
  expect(held(6, 1)).toEqual([1, 1, 1, 1, 1, 1]);
  // The arrival on frame 6 is seen on frame 7.
  expect(held(9, 2)).toEqual([2, 2, 2, 3]);
  expect(held(10, 3)).toEqual([3, 3, 4]);
});

test('an increment may be the whole of what was left, and no more', () => {
  expect(steps(9, 60)).toEqual([10, 10, 10, 10, 0, 0, 0, 60]);
  expect(() => steps(9, 60.1)).toThrow('That’s more than the whole distance.');
  expect(steps(6, 60)).toEqual([10, 10, 10, 10, 60, 0, 0, 0]);
  expect(() => steps(6, 60.1)).toThrow('That leads past the mark on frame 9.');
});

test('ticks stand across the arc', () => {
  const rising = shotAlong(arcOf([corner(0, 0), corner(30, 40)]), 5);
  const [tick] = ticksOf(evaluate(rising).travels[0]!, rising);
  expect(tick).toMatchObject({ acrossX: expect.closeTo(-0.8, 12), acrossY: expect.closeTo(0.6, 12) });
});

test('the step back of a loop goes on turning from wherever the loop begins', () => {
  const drawn = shotAlong(circle(100), 24);
  const round = {
    ...drawn,
    moves: drawn.moves.map((move) => ({ ...move, marks: [markAt(1, 0.25), markAt(25, 1.25)] })),
  };
  const { rows, closing } = incrementTable(round, onlyMove(round));
  expect(closing!.headingDeg - rows[0]!.headingDeg).toBeCloseTo(360, 6);
  expect(closing!.headingChangeDeg).toBeCloseTo(15, 1);
});
