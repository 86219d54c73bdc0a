import { edits, freshShot, type Shot } from '@humble/core';
import { ActionCreators } from 'redux-undo';
import { edited, shotClosed, shotHistory, type ShotHistory, shotOpened } from './shotSlice';

const still = { x: 0, y: 0 };
const shot: Shot = edits.drawArc(
  freshShot({ name: 'Quay', rate: 24, lengthFrames: 48, width: 1920, height: 1080 }),
  {
    points: [
      { x: 0, y: 0, in: still, out: still, kind: 'corner' },
      { x: 100, y: 0, in: still, out: still, kind: 'corner' },
    ],
  },
);

type Action = Parameters<typeof shotHistory>[1];
const run = (...actions: Action[]): ShotHistory =>
  actions.reduce<ShotHistory>(
    (state, action) => shotHistory(state, action),
    shotHistory(undefined, { type: 'start' }),
  );

const moved = (x: number, undoGroup?: string) =>
  edited({ name: 'movePoint', args: { arcId: 'arc1', pointId: 'p2', to: { x, y: 0 } } }, undoGroup);
const endX = (history: ShotHistory) => history.present.shot!.arcs[0]!.points[1]!.x;

test('the first undo goes back to the shot as it was opened, and no further', () => {
  const opened = run(shotOpened(shot));
  expect(opened.past).toHaveLength(0);
  const undone = run(shotOpened(shot), moved(150), ActionCreators.undo());
  expect(undone.present.shot).toBe(shot);
  expect(undone.past).toHaveLength(0);
});

test('all changes of one gesture are one step, and the next gesture is another', () => {
  const done = run(
    shotOpened(shot),
    moved(110, 'a'),
    moved(120, 'a'),
    moved(130, 'a'),
    moved(140, 'b'),
    moved(150, 'b'),
  );
  expect(endX(done)).toBe(150);
  const once = shotHistory(done, ActionCreators.undo());
  expect(endX(once)).toBe(130);
  const twice = shotHistory(once, ActionCreators.undo());
  expect(twice.present.shot).toBe(shot);
  expect(endX(shotHistory(twice, ActionCreators.redo()))).toBe(130);
});

test('a length dragged short and long again brings every mark back', () => {
  const length = (lengthFrames: number) => edited({ name: 'setLength', args: { lengthFrames } }, 'drag');
  const many = Array.from({ length: 9 }, (_, i) => ({
    ...shot.moves[0]!.marks[0]!,
    id: `m${i}`,
    frame: 1 + i * i - (i === 8 ? 17 : 0),
  }));
  const marked: Shot = { ...shot, moves: [{ ...shot.moves[0]!, marks: many }] };
  const done = run(shotOpened(marked), length(20), length(9), length(30), length(48));
  expect(done.present.shot!.moves[0]!.marks.map((mark) => mark.frame)).toEqual(
    many.map((mark) => mark.frame),
  );
  expect(shotHistory(done, ActionCreators.undo()).present.shot).toBe(marked);
});

test('changes without a gesture are steps of their own', () => {
  const done = run(shotOpened(shot), moved(110), moved(120));
  expect(endX(shotHistory(done, ActionCreators.undo()))).toBe(110);
});

test('an edit that cannot be done throws and leaves the shot and its history alone', () => {
  const opened = run(shotOpened(shot));
  const impossible = edited({ name: 'deletePoints', args: { arcId: 'arc1', pointIds: ['p1'] } });
  expect(() => shotHistory(opened, impossible)).toThrow('at least two points');
  expect(opened.present.shot).toBe(shot);
});

test('an edit that changes nothing is no step', () => {
  const same = run(
    shotOpened(shot),
    edited({ name: 'setMoveFrames', args: { moveId: 'move1', first: 1, last: 48 } }),
  );
  expect(same.present.shot!.moves[0]).toBe(shot.moves[0]);
});

test('another shot has a history of its own', () => {
  const next = run(shotOpened(shot), moved(150), shotClosed(), shotOpened(shot));
  expect(next.past).toHaveLength(0);
  expect(shotHistory(next, ActionCreators.undo()).present.shot).toBe(shot);
});
