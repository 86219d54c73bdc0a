import { currentFrame, goTo, setRange } from '../playback/playhead';
import { keysSelected, marksSelected } from '../store/editorSlice';
import { doEdit } from '../store/doEdit';
import { benchWith, straightShot, withMarks } from '../testing/bench';
import { followSelection } from './followSelection';

const bench = () => {
  setRange({ lengthFrames: 57, rate: 24, loops: true });
  goTo(1);
  const store = benchWith(withMarks(straightShot(57), [1, 0], [25, 0.4], [57, 1]));
  return { store, end: followSelection(store) };
};

test('the playhead goes to a mark that is selected, and along with it', () => {
  const { store, end } = bench();
  store.dispatch(marksSelected(['m2']));
  expect(currentFrame()).toBe(25);
  store.dispatch(doEdit('moveMarks', { moveId: 'move1', markIds: ['m2'], byFrames: 5, takesLater: false }));
  expect(currentFrame()).toBe(30);
  end();
});

test('on another frame nothing stays selected', () => {
  const { store, end } = bench();
  store.dispatch(marksSelected(['m2', 'm3']));
  goTo(57);
  expect(store.getState().editor.selectedMarkIds).toEqual(['m2', 'm3']);
  goTo(40);
  expect(store.getState().editor.selectedMarkIds).toEqual([]);
  end();
  store.dispatch(marksSelected(['m2']));
  expect(currentFrame()).toBe(40);
});

test('keys go the same way: selected they bring the playhead, elsewhere they are let go', () => {
  const { store, end } = bench();
  for (const [frame, value] of [
    [10, 0],
    [30, 45],
  ] as const)
    store.dispatch(doEdit('setKey', { moveId: 'move1', track: 'turn', frame, value }));
  const ids = store.getState().shot.present.shot!.moves[0]!.tracks.turn.map(({ id }) => id);
  store.dispatch(keysSelected({ track: 'turn', ids }));
  expect(currentFrame()).toBe(10);
  goTo(30);
  expect(store.getState().editor.selectedKeys).toMatchObject({ ids });
  goTo(31);
  expect(store.getState().editor.selectedKeys).toBeNull();
  end();
});
