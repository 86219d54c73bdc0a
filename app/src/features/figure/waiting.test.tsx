import { fireEvent, screen } from '@testing-library/react-native';
import { addFigure } from '../../commands/figures';
import { benchWith, renderOn, shotOn, straightShot } from '../../testing/bench';
import { AttachCard } from './AttachCard';
import { LooksGroup } from './LooksGroup';
import { KeyLines } from './keys/KeyLines';
import { selectActiveMove } from '../../store/selectors/active';

const waitingBench = () => {
  const store = benchWith(straightShot(), 'figure');
  store.dispatch(addFigure({ kind: 'stand-in', standIn: 'boat' }, 'Boat'));
  return store;
};

test('a figure that waits is put on an arc in one press', () => {
  const store = waitingBench();
  renderOn(store, <AttachCard />);
  expect(screen.getByText('Not on an arc yet')).toBeTruthy();
  fireEvent.press(screen.getByLabelText(/^Where it is, on /));
  expect(shotOn(store).waiting).toEqual([]);
  expect(selectActiveMove(store.getState())?.figureId).toBe('figure2');
  // There is no other arc to go to: what is left is to leave this one.
  fireEvent.press(screen.getByLabelText('Detach from its arc'));
  expect(shotOn(store).waiting[0]).toMatchObject({ figureId: 'figure2' });
});

test('what needs an arc says so, and its looks can be chosen all the same', () => {
  const store = waitingBench();
  const Nothing = () => null;
  const contents = {
    place: Nothing,
    drawing: Nothing,
    turn: Nothing,
    size: Nothing,
    offset: Nothing,
    opacity: Nothing,
    lean: Nothing,
  };
  renderOn(store, <KeyLines contents={contents} />);
  expect(screen.getByText(/This figure isn’t on an arc yet/)).toBeTruthy();
  screen.unmount();
  renderOn(store, <LooksGroup />);
  expect(screen.getAllByRole('radio')).toHaveLength(10);
  fireEvent.press(screen.getByRole('radio', { name: 'Fish' }));
  expect(shotOn(store).figures[1]!.artwork).toEqual({ kind: 'stand-in', standIn: 'fish' });
});
