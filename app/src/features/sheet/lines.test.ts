import { edits } from '@humble/core';
import { goTo } from '../../playback/playhead';
import { benchWith, straightShot } from '../../testing/bench';
import { areOfSame, selectTableLines, saysSame, seenLine } from './lines';

const linesOn = (shot = straightShot()) => selectTableLines(benchWith(shot, 'sheet').getState());

beforeEach(() => goTo(1));

test('the line of a frame is that of the picture seen then', () => {
  const move = straightShot().moves[0]!;
  const shot = edits.setFramesHeld(
    edits.setMoveFrames(straightShot(), { moveId: move.id, first: 5, last: 21 }),
    {
      moveId: move.id,
      framesHeld: 2,
    },
  );
  const lines = linesOn(shot);
  // Pictures on 1, where it waits, and on 5, 7, 9 ….
  expect([1, 5, 6, 7, 8, 21].map((frame) => seenLine(lines, frame))).toEqual([0, 1, 1, 2, 2, 9]);
});

test('at the first frame the first line is seen', () => {
  expect(seenLine(linesOn(), 1)).toBe(0);
  expect(seenLine([], 1)).toBe(0);
});

test('where a tick moves the lines are of the same pictures, and two of them say something else', () => {
  const shot = straightShot();
  const { id } = shot.moves[0]!;
  const [before, after] = [
    shot,
    edits.moveTick(shot, { moveId: id, frame: 11, fraction: 0.52, reachFrames: 0 }),
  ].map(linesOn);
  expect(areOfSame(before!, after!)).toBe(true);
  expect(before!.filter((line, i) => !saysSame(line, after![i])).length).toBe(2);
  expect(areOfSame(before!, before!.slice(1))).toBe(false);
});
