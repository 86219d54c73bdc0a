import { edits } from '@humble/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { goTo, setRange } from '../../playback/playhead';
import { benchWith, renderOn, shotOn, straightShot } from '../../testing/bench';
import { SheetPanel } from './SheetPanel';

// The list draws its later lines by and by.
beforeEach(() => {
  jest.useFakeTimers();
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(1);
});
afterEach(() => jest.useRealTimers());

// A part of its own in the application; here it is there at once.
jest.mock('./lazyTables', () => ({
  LazyIncrementsTable: jest.requireActual('./IncrementsTable').IncrementsTable,
}));

const show = (shot = straightShot()) => {
  const store = benchWith(shot, 'sheet');
  renderOn(store, <SheetPanel onExport={() => undefined} />);
  return store;
};

/** What stands in the cells of a line, the first line being 1. */
const cells = (row: number): string[] =>
  screen
    .getAllByRole('row')
    [row - 1]!.findAll((node) => typeof node.type === 'string' && node.props.role === 'cell')
    .map(
      (cell) =>
        (cell.findAll((node) => typeof node.props.children === 'string')[0]?.props.children ??
          cell.findAll((node) => typeof node.props.value === 'string')[0]?.props.value) as string,
    );

test('has a head and a line for each exposure', () => {
  show();
  expect(
    screen.getAllByLabelText('Increments').find((one) => 'aria-rowcount' in one.props)!.props[
      'aria-rowcount'
    ],
  ).toBe(21);
  expect(cells(1)).toEqual(['1', '1', '0.00', '·', '·', '0.0', '0.0', '0.0°', '0.00']);
  expect(cells(2)).toEqual(['2', '1', '6.00', '6.00', '6.00', '6.0', '0.0', '0.0°', '6.00']);
});

test('a step of the ruler brings its column and rounds the total', () => {
  const store = show(edits.setLength(straightShot(), { lengthFrames: 8 }));
  fireEvent.press(screen.getByRole('button', { name: 'In units, not rounded' }));
  fireEvent.press(screen.getByRole('radio', { name: '0.5' }));
  fireEvent.press(screen.getByRole('button', { name: 'Done' }));
  expect(shotOn(store).sheet.rulerStep).toBe(0.5);
  // The first line says nothing new, and has the column all the same.
  expect(cells(1)).toEqual(['1', '1', '0.00', '·', '·', '·', '0.0', '0.0', '0.0°', '0.0']);
  // 120 units in 7 intervals are 17.142857: 17, 34.5, 51.5, 68.5, 85.5, 103, 120.
  const ruler = [2, 3, 4, 5, 6, 7, 8].map((row) => cells(row)[4]);
  expect(ruler).toEqual(['17.0', '17.5', '17.0', '17.0', '17.0', '17.5', '17.0']);
  expect(cells(8).at(-1)).toBe('120.0');
});

test('with Shift, or held down, a line picks the frames from the one in sight to it', () => {
  const store = show();
  act(() => goTo(3));
  const line = (frame: number) => screen.getByRole('row', { name: `Frame ${frame}` });
  fireEvent.press(line(6), { nativeEvent: { shiftKey: true } });
  expect(screen.getByText('Frames 3 → 6')).toBeTruthy();
  expect(screen.getAllByTestId('picked-line')).toHaveLength(4);
  fireEvent.press(screen.getByRole('button', { name: 'Deselect the frames' }));
  expect(screen.queryByText('Frames 3 → 6')).toBeNull();
  fireEvent(line(2), 'longPress');
  expect(store.getState().editor.pickedRange).toEqual({ by: 'frames', from: 2, until: 3 });
  fireEvent.press(screen.getByRole('button', { name: 'Change timing' }));
  expect(store.getState().session.step).toBe('timing');
  expect(store.getState().settings.groupInFront.timing).toBe('range');
});

test('millimetres wait for a scale; nonsense for one is said and changes nothing', () => {
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: 'In units, not rounded' }));
  fireEvent.press(screen.getByRole('radio', { name: 'Millimetres' }));
  expect(screen.getByText(/Millimetres need a scale/)).toBeTruthy();
  expect(shotOn(store).sheet.units).toBe('field');
  const width = () => screen.getByLabelText('Width of the field on set, mm');
  fireEvent.changeText(width(), '0');
  fireEvent(width(), 'blur');
  expect(screen.getByText('Type a number greater than 0.')).toBeTruthy();
  expect(shotOn(store).field.unitsPerMm).toBeNull();
  fireEvent.changeText(width(), '480');
  fireEvent(width(), 'blur');
  expect(shotOn(store)).toMatchObject({ field: { unitsPerMm: 4 }, sheet: { units: 'mm' } });
  expect(cells(2).slice(2, 4)).toEqual(['1.50', '1.50']);
});

test('says what will stand there before there is an arc', () => {
  show({ ...straightShot(), arcs: [], moves: [], figures: [] });
  expect(screen.getByText('Increments appear here once something travels along an arc.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Export' }).props.accessibilityState?.disabled ?? true).toBe(
    true,
  );
});

test('each track that has keys has a column, lengths in the units of the sheet', () => {
  const keyed = edits.setKey(straightShot(), { moveId: 'move1', track: 'turn', frame: 1, value: 30 });
  const off = edits.setOffset(keyed, { moveId: 'move1', frame: 1, x: 10, y: -4 });
  show(edits.setScale(off, { unitsPerMm: 2, units: 'mm' }));
  expect(cells(1).slice(7, 11)).toEqual(['+30.0°', '30.0°', '5.0', '−2.0']);
});
