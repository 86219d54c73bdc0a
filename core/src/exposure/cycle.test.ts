import { edits } from '../edits/edits';
import type { Artwork, Cycle, Shot } from '../model/schema';
import { readShotFile, writeShotFile } from '../model/openShot';
import { evaluate } from '../motion/evaluate';
import { drawingOfTravel, figureOn } from '../motion/figureOn';
import { countCycles, cycleDrawing, cycleFrames } from './cycle';
import { onlyMove, straightShot } from '../testing/shapes';
import { standingsOn } from '../motion/standings';

const picture = (frames: number, i: number) => ({
  sha256: String(i % 10).repeat(64),
  type: 'image/png' as const,
  name: `drawing ${i + 1}.png`,
  width: 40,
  height: 80,
  outline: [[0, 0, 40, 0, 40, 80]],
  frames,
  planted: null,
});
const drawings = (...frames: number[]) => frames.map(picture);
const ones = (count: number) => drawings(...Array.from({ length: count }, () => 1));

const plain: Cycle = {
  by: 'time',
  from: 1,
  until: null,
  startDrawing: 1,
  swings: false,
  advance: 150,
  before: 'hold',
  after: 'hold',
};
const shown = (cycle: Partial<Cycle>, all: ReturnType<typeof drawings>, from: number, until: number) =>
  Array.from({ length: until - from + 1 }, (_, i) =>
    cycleDrawing({ ...plain, ...cycle }, all, from + i, 301, (f) => (f - 1) * 10),
  );

describe('a cycle by time', () => {
  test('of 30 frames over 0 to 300 is ten repeats: frame 217 shows the drawing of frame 7', () => {
    const thirty = ones(30);
    expect(cycleFrames(thirty, false)).toBe(30);
    // Counted from 1 here: frame 218 shows that of frame 8.
    expect(shown({}, thirty, 218, 218)).toEqual(shown({}, thirty, 8, 8));
    // The frame that would equal the first is not shown twice.
    expect(shown({}, thirty, 30, 31)).toEqual([30, 1]);
  });

  test('holds each drawing for its frames, and starts with any of them', () => {
    expect(shown({}, drawings(2, 1, 3), 1, 8)).toEqual([1, 1, 2, 3, 3, 3, 1, 1]);
    expect(shown({ startDrawing: 3 }, drawings(2, 1, 3), 1, 8)).toEqual([3, 3, 3, 1, 1, 2, 3, 3]);
    expect(shown({ startDrawing: 9 }, drawings(1, 1), 1, 2)).toEqual([2, 1]);
  });

  test('swings there and back without doubling its ends', () => {
    expect(cycleFrames(ones(5), true)).toBe(8);
    expect(shown({ swings: true }, ones(5), 1, 10)).toEqual([1, 2, 3, 4, 5, 4, 3, 2, 1, 2]);
    expect(shown({ swings: true }, ones(1), 1, 3)).toEqual([1, 1, 1]);
    expect(shown({ swings: true }, ones(2), 1, 4)).toEqual([1, 2, 1, 2]);
  });

  test.each([
    ['hold', [1, 1, 1], [4, 4, 4]],
    ['repeat', [2, 3, 4], [1, 2, 3]],
    ['swing', [4, 3, 2], [3, 2, 1]],
    ['hide', [0, 0, 0], [0, 0, 0]],
  ] as const)('outside its range it can %s', (how, before, after) => {
    const range = { from: 4, until: 7, before: how, after: how };
    expect(shown(range, ones(4), 1, 10)).toEqual([...before, 1, 2, 3, 4, ...after]);
  });
});

test('a range of 100 frames with a cycle of 30 is three cycles and ten frames over: 90 or 120', () => {
  expect(countCycles(100, 30)).toEqual({ cycles: 3, over: 10, shorter: 90, longer: 120 });
  expect(countCycles(90, 30)).toMatchObject({ cycles: 3, over: 0 });
  expect(countCycles(12, 30)).toEqual({ cycles: 0, over: 12, shorter: null, longer: 30 });
});

describe('a cycle by way', () => {
  const eight: Artwork = { kind: 'pictures', drawings: ones(8) };
  const ramped = straightShot(600, 25, { kind: 'ramped', leaveFrames: 8, arriveFrames: 8, ramp: 'steady' });
  const walking = edits.setCycle(edits.setArtwork(ramped, { figureId: 'figure1', artwork: eight }), {
    moveId: 'move1',
    cycle: { by: 'way', advance: 150 },
  });
  const drawingsOf = (shot: Shot) => {
    const travel = evaluate(shot).travels[0]!;
    return Array.from(travel.arcDistance, (_, i) => drawingOfTravel(travel, i + 1));
  };

  test('follows the distance: 600 units in 24 intervals, ramped', () => {
    expect(drawingsOf(walking).join(' ')).toBe('1 1 1 2 3 4 5 7 1 3 5 7 1 3 5 7 1 2 4 5 7 7 8 8 1');
  });

  test('is the same where only some frames are worked out, and in the file', () => {
    const opened = readShotFile(writeShotFile(walking));
    expect(standingsOn(opened, onlyMove(opened), [4, 8, 25]).map(({ drawing }) => drawing)).toEqual([
      2, 7, 1,
    ]);
  });

  test('runs backwards where the travel does', () => {
    const { drawings: all } = eight;
    const at = (s: number) => cycleDrawing({ ...plain, by: 'way' }, all, 2, 9, (f) => (f === 1 ? 0 : s));
    expect([at(0), at(-1), at(-20), at(-150)]).toEqual([1, 8, 7, 1]);
  });
});

test('a drawing that a frame says goes before the cycle; one that is not shown covers nothing', () => {
  const shot = edits.setArtwork(straightShot(100, 21), {
    figureId: 'figure1',
    artwork: { kind: 'pictures', drawings: ones(3) },
  });
  const cycled = edits.setCycle(shot, { moveId: 'move1', cycle: { until: 10, after: 'hide' } });
  const travel = evaluate(cycled).travels[0]!;
  expect(figureOn(travel, 9).opacity).toBe(1);
  expect(figureOn(travel, 10).opacity).toBe(0);
  const said = edits.setDrawing(cycled, { moveId: 'move1', frame: 1, drawing: 2 });
  expect(figureOn(evaluate(said).travels[0]!, 15).opacity).toBe(1);
  // Its range is taken along with the time of the move, and an end before its beginning is put right.
  const longer = edits.setMoveFrames(cycled, { moveId: 'move1', first: 1, last: 11 });
  expect(onlyMove(longer).cycle).toMatchObject({ from: 1, until: 6 });
  expect(onlyMove(edits.setCycle(cycled, { moveId: 'move1', cycle: { from: 15 } })).cycle?.until).toBe(15);
  expect(onlyMove(edits.setCycle(cycled, { moveId: 'move1', cycle: null })).cycle).toBeNull();
  const slower = edits.setDrawingFrames(shot, { figureId: 'figure1', frames: 4, drawing: 2 });
  expect(slower.figures[0]!.artwork).toMatchObject({
    drawings: [{ frames: 1 }, { frames: 4 }, { frames: 1 }],
  });
});
