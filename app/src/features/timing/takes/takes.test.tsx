import { currentTake, edits, type Shot } from '@humble/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { toggleTurns } from '../../../commands/takes';
import { selectComparison } from '../../../store/selectors/comparison';
import { comparisonChosen } from '../../../store/reviewSlice';
import { benchWith, moveOn, renderOn, shotOn, straightShot, withMarks } from '../../../testing/bench';
import { TakesGroup } from './TakesGroup';

/** Two takes: in the second, which is current, the middle is passed four frames later. */
function twoTakes(): Shot {
  const first = edits.addTake(withMarks(straightShot(), [1, 0], [11, 0.5], [21, 1]), { name: 'Later' });
  return edits.moveMarks(first, { moveId: 'move1', markIds: ['m2'], byFrames: 4, takesLater: false });
}

const show = (shot: Shot) => {
  const store = benchWith(shot);
  renderOn(store, <TakesGroup />);
  return store;
};

test('a take is added, named, chosen and deleted', () => {
  const store = show(straightShot());
  expect(screen.getByText('Add another take to compare it with this one.')).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: 'New take' }));
  expect(currentTake(shotOn(store)).name).toBe('Take 2');
  fireEvent.press(screen.getByRole('button', { name: 'Rename' }));
  fireEvent.changeText(screen.getByLabelText('Name of the take'), 'Slower');
  fireEvent(screen.getByLabelText('Name of the take'), 'submitEditing');
  fireEvent.press(screen.getByRole('radio', { name: 'Take 1' }));
  expect(currentTake(shotOn(store)).name).toBe('Take 1');
  fireEvent.press(screen.getByRole('button', { name: 'Delete' }));
  expect(shotOn(store).takes.map(({ name }) => name)).toEqual(['Slower']);
  expect(store.getState().session.message?.text).toBe('“Take 1” was deleted. Undo brings it back.');
});

test('two takes are compared: how far apart, where most, lined up at a mark', () => {
  const store = show(twoTakes());
  fireEvent.press(screen.getByRole('tab', { name: 'Take 1' }));
  // On frame 15 the one is at 60, the other at 84.
  expect(screen.getByText('Furthest apart on frame 15: 24.0 units.')).toBeTruthy();
  fireEvent.press(screen.getByRole('radio', { name: 'Mark' }));
  expect(screen.getByText('Select a mark that both takes have.')).toBeTruthy();
  act(() => {
    store.dispatch(
      comparisonChosen({
        with: { kind: 'take', takeId: 'take1' },
        align: { at: 'mark', markId: 'm2' },
        shows: 'together',
      }),
    );
  });
  expect(screen.getByText('Lined up at the mark on frame 15.')).toBeTruthy();
  expect(selectComparison(store.getState())).toMatchObject({ shift: 4, name: 'Take 1' });
  fireEvent.press(screen.getByRole('tab', { name: 'None' }));
  expect(selectComparison(store.getState())).toBeNull();
});

test('the compared take made the current one is compared with the one before; at a key both play by turns', () => {
  const store = show(twoTakes());
  act(() => void toggleTurns(store));
  expect(store.getState().review.compared).toMatchObject({ with: { takeId: 'take1' }, shows: 'turns' });
  act(() => void toggleTurns(store));
  expect(store.getState().review.compared).toMatchObject({ shows: 'together' });
  fireEvent.press(screen.getByRole('radio', { name: 'Take 1' }));
  expect(selectComparison(store.getState())).toMatchObject({ name: 'Later' });
  expect(moveOn(store).marks[1]!.frame).toBe(11);
});
