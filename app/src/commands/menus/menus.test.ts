import { ActionCreators } from 'redux-undo';
import { currentFrame, setRange } from '../../playback/playhead';
import { doEdit } from '../../store/doEdit';
import { marksSelected } from '../../store/editorSlice';
import { benchWith, straightShot, withMarks } from '../../testing/bench';
import type { ContextMenu } from '../../ui/contextMenu';
import { arcMenu, pointMenu } from './arcMenus';
import { keyMenu, poseMenu } from './figureMenus';
import { markMenu, pictureMenu } from './timingMenus';
import { selectActiveArc, selectActiveMove } from '../../store/selectors/active';

const shot = withMarks(straightShot(41), [1, 0], [21, 0.5], [41, 1]);
const bench = () => {
  setRange({ lengthFrames: 41, rate: 24, loops: false });
  const store = benchWith(shot);
  return {
    store,
    move: () => selectActiveMove(store.getState())!,
    arc: () => selectActiveArc(store.getState())!,
  };
};
const press = (menu: ContextMenu | null, label: string): void => {
  const item = menu?.items.find((one) => one.label === label);
  if (!item) throw new Error(`No ${label} among ${menu?.items.map((one) => one.label).join(', ')}`);
  item.onPress();
};

test('the menu of a mark selects it, goes there, and does what it says, one undo step each', () => {
  const { store, move } = bench();
  const menu = markMenu(store, ['m2']);
  expect([menu?.title, currentFrame()]).toEqual(['Mark on frame 21', 21]);
  expect(store.getState().editor.selectedMarkIds).toEqual(['m2']);
  const { kind } = move().marks[1]!;
  press(menu, kind === 'stop' ? 'Pass through' : 'Stop here');
  expect(move().marks[1]!.kind).not.toBe(kind);
  store.dispatch(ActionCreators.undo());
  press(markMenu(store, ['m2']), 'Delete mark');
  expect(move().marks).toHaveLength(2);
  expect(markMenu(store, ['m1'])?.items.find(({ label }) => label === 'Delete mark')?.disabled).toBe(true);
});

test('of several marks that are selected the menu is about all of them', () => {
  const { store, move } = bench();
  store.dispatch(marksSelected(['m1', 'm2']));
  const menu = markMenu(store, ['m2']);
  expect(menu?.title).toBe('2 marks');
  press(menu, 'Pass through');
  expect(move().marks.map(({ kind }) => kind)).toEqual(['pass', 'pass', 'stop']);
});

test('a picture without a mark gets one, is skipped, put by hand and back', () => {
  const { store, move } = bench();
  press(pictureMenu(store, 11), 'Place by hand');
  expect(move().overrides.map(({ frame }) => frame)).toEqual([11]);
  press(pictureMenu(store, 11), 'Back to plan');
  expect(move().overrides).toEqual([]);
  press(pictureMenu(store, 11), 'Skip and hold');
  expect(move().skips.map(({ frame }) => frame)).toEqual([11]);
  expect(pictureMenu(store, 11)?.items.map(({ label }) => label)).toEqual(['Add a mark here']);
  press(pictureMenu(store, 31), 'Add a mark here');
  expect(move().marks.map(({ frame }) => frame)).toEqual([1, 21, 31, 41]);
  expect(pictureMenu(store, 21)?.title).toBe('Mark on frame 21');
});

test('a pose holds, goes on in another way, and is removed; elsewhere one is added', () => {
  const { store, move } = bench();
  press(poseMenu(store, 11), 'Add a pose here');
  expect(move().marks.map(({ frame }) => frame)).toEqual([1, 11, 21, 41]);
  press(poseMenu(store, 11), 'Hold for 8 frames');
  expect(move().marks.map(({ frame }) => frame)).toEqual([1, 11, 19, 21, 41]);
  press(poseMenu(store, 19), 'Remove pose');
  press(poseMenu(store, 11), 'Jump to frame 21');
  expect(poseMenu(store, 11)?.items.find(({ isChosen }) => isChosen)?.label).toBe('Jump to frame 21');
});

test('points and arcs are changed where they lie; a locked arc only as a whole', () => {
  const { store, arc } = bench();
  const count = arc().points.length;
  press(arcMenu(store, arc(), { segment: 0, t: 0.5 }), 'Add a point here');
  expect(arc().points).toHaveLength(count + 1);
  const [, added] = arc().points;
  press(pointMenu(store, arc(), added!.id), 'Corner');
  expect(arc().points[1]!.kind).toBe('corner');
  press(pointMenu(store, arc(), added!.id), 'Delete point');
  expect(arc().points).toHaveLength(count);
  press(arcMenu(store, arc(), { segment: 0, t: 0.5 }), 'Lock');
  expect(pointMenu(store, arc(), arc().points[0]!.id)).toBeNull();
  expect(arcMenu(store, arc(), { segment: 0, t: 0.5 })?.items.map(({ label }) => label)).toEqual([
    'Work on it',
    'Hide',
    'Unlock',
    'Remove this arc',
  ]);
});

test('a key is deleted, and grows another way where it has one to go to', () => {
  const { store, move } = bench();
  for (const [frame, value] of [
    [1, 100],
    [21, 200],
  ] as const)
    store.dispatch(doEdit('setKey', { moveId: move().id, track: 'size', frame, value }));
  press(keyMenu(store, 'size', 1), 'Grow by a steady ratio');
  expect(move().tracks.size[0]!.growth).toBe('ratio');
  expect(keyMenu(store, 'size', 21)?.items.map(({ label }) => label)).toEqual([
    'Select or deselect',
    'Copy',
    'Delete key',
  ]);
  press(keyMenu(store, 'size', 21), 'Delete key');
  expect(move().tracks.size).toHaveLength(1);
  expect(keyMenu(store, 'size', 5)).toBeNull();
});
