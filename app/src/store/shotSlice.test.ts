import { applyEdit, type Edit, edits, freshShot, type Shot } from '@humble/core';
import { ActionCreators } from 'redux-undo';
import { doEdit } from './doEdit';
import { edited, shotBefore, shotClosed, shotHistory, type ShotHistory, shotOpened } from './shotSlice';
import { createAppStore } from './store';

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
/** An action, or an edit that is worked out from the history when its turn comes. */
type Step = Action | ((history: ShotHistory) => Action);
const run = (...steps: Step[]): ShotHistory =>
  steps.reduce<ShotHistory>(
    (history, step) => shotHistory(history, typeof step === 'function' ? step(history) : step),
    shotHistory(undefined, { type: 'start' }),
  );

const does = (edit: Edit, undoGroup?: string) => (history: ShotHistory) =>
  edited(applyEdit(shotBefore(history, undoGroup)!, edit), edit, undoGroup);

const moved = (x: number, undoGroup?: string) =>
  does({ name: 'movePoint', args: { arcId: 'arc1', pointId: 'p2', to: { x, y: 0 } } }, undoGroup);
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
  const length = (lengthFrames: number) => does({ name: 'setLength', args: { lengthFrames } }, 'drag');
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

test('an edit that cannot be done says why and leaves the shot and its history alone', () => {
  const store = createAppStore();
  store.dispatch(shotOpened(shot));
  expect(store.dispatch(doEdit('deletePoints', { arcId: 'arc1', pointIds: ['p1'] }))).toBeNull();
  expect(store.getState().session.message?.text).toMatch('at least two points');
  expect(store.getState().shot.present.shot).toBe(shot);
  expect(store.getState().shot.past).toHaveLength(0);
});

test('an edit tells the ids of what it made, as counted from where its undo group began', () => {
  const store = createAppStore();
  store.dispatch(shotOpened(shot));
  const add = (frame: number) =>
    store.dispatch(doEdit('addMark', { moveId: 'move1', frame }, 'one group'))?.made().marks;
  expect(add(9)).toEqual(['m3']);
  expect(add(12)).toEqual(['m3']);
  expect(store.getState().shot.present.shot!.moves[0]!.marks.map(({ frame }) => frame)).toEqual([1, 12, 48]);
});

test('without a shot nothing is done', () => {
  const store = createAppStore();
  store.dispatch(shotClosed());
  expect(store.dispatch(doEdit('renameShot', { name: 'Quay' }))).toBeNull();
});

test('an edit that changes nothing is no step', () => {
  const same = run(
    shotOpened(shot),
    does({ name: 'setMoveFrames', args: { moveId: 'move1', first: 1, last: 48 } }),
  );
  expect(same.present.shot!.moves[0]).toBe(shot.moves[0]);
});

test('another shot has a history of its own', () => {
  const next = run(shotOpened(shot), moved(150), shotClosed(), shotOpened(shot));
  expect(next.past).toHaveLength(0);
  expect(shotHistory(next, ActionCreators.undo()).present.shot).toBe(shot);
});
