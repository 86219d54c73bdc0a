import { edits } from '@humble/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { goTo, setRange } from '../../../playback/playhead';
import { setSoundState } from '../../../playback/soundWave';
import { benchWith, moveOn, renderOn, shotOn, straightShot } from '../../../testing/bench';
import { ExposureSheetView } from './ExposureSheetView';
import { SheetCharts } from './SheetCharts';

// The list draws its later lines by and by.
beforeEach(() => {
  jest.useFakeTimers();
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(1);
});
afterEach(() => jest.useRealTimers());

const onTwos = edits.setFramesHeld(straightShot(), { moveId: 'move1', framesHeld: 2 });

const show = (shot = onTwos) => {
  const store = benchWith(shot, 'sheet');
  renderOn(store, <ExposureSheetView />);
  return store;
};

test('a line for each frame; a picture begins, or a stroke goes down through its hold', () => {
  show();
  expect(screen.getByLabelText('Exposure sheet').props['aria-rowcount']).toBe(21);
  expect(screen.getAllByLabelText('picture').length).toBeGreaterThan(5);
  expect(screen.getAllByLabelText('held').length).toBeGreaterThan(5);
});

test('a note and a word are typed where they belong, changed, and emptied again', () => {
  const store = show();
  act(() => goTo(9));
  const type = (label: string, text: string): void => {
    fireEvent.changeText(screen.getByLabelText(label), text);
    fireEvent(screen.getByLabelText(label), 'submitEditing');
  };
  type('Note on frame 9', ' Blinks ');
  expect(shotOn(store).notes).toMatchObject([{ from: 9, until: 9, text: 'Blinks', figureId: null }]);
  type('What is heard on frame 9', 'thud');
  // Frame 9 begins eight twelfths of a second after the start.
  expect(shotOn(store).cues).toMatchObject([{ seconds: 8 / 12, word: 'thud' }]);
  type('Note on frame 9', 'Looks up');
  expect(shotOn(store).notes).toMatchObject([{ text: 'Looks up' }]);
  type('What is heard on frame 9', '');
  type('Note on frame 9', '');
  expect([shotOn(store).notes, shotOn(store).cues]).toEqual([[], []]);
});

test('the note at the playhead is made longer, is about the figure, and is deleted', () => {
  const store = show(edits.addNote(onTwos, { from: 3, until: 3, text: 'Blinks', figureId: null }));
  act(() => goTo(3));
  fireEvent.press(screen.getByRole('button', { name: 'Lengthen the note by a frame' }));
  fireEvent.press(screen.getByRole('button', { name: 'About the shot' }));
  expect(shotOn(store).notes).toMatchObject([{ from: 3, until: 4, figureId: 'figure1' }]);
  fireEvent.press(screen.getByRole('button', { name: 'Delete note' }));
  expect(shotOn(store).notes).toEqual([]);
  expect(screen.queryByRole('button', { name: 'Delete note' })).toBeNull();
});

test('the tab at the end of a picture holds it longer or shorter by keys', () => {
  const store = show();
  act(() => goTo(5));
  const tab = () => screen.getByTestId('hold-grip', { includeHiddenElements: true });
  expect([tab().props['aria-label'], tab().props['aria-valuenow']]).toEqual([
    'How long frame 5 of Figure 1 is held',
    2,
  ]);
  const key = (name: string): void => {
    fireEvent(tab(), 'keyDown', { key: name, preventDefault: jest.fn(), stopPropagation: jest.fn() });
  };
  key('ArrowDown');
  expect(moveOn(store).exposures).toEqual([
    { from: 5, until: 7, framesHeld: 3 },
    { from: 8, until: 8, framesHeld: 1 },
  ]);
  key('ArrowUp');
  // The next picture begins on frame 7 again.
  expect(moveOn(store).exposures).toEqual([]);
  key('ArrowUp');
  expect(moveOn(store).exposures).toEqual([
    { from: 5, until: 5, framesHeld: 1 },
    { from: 6, until: 8, framesHeld: 3 },
  ]);
});

test('a sound stands beside the frames that it is heard on', () => {
  const peaks = Float32Array.from([0, 1]);
  setSoundState({ status: 'ready', wave: { perSecond: 1, peaks, startSeconds: 0 } });
  show();
  expect(screen.getByLabelText('Exposure sheet')).toBeTruthy();
  act(() => setSoundState({ status: 'none', wave: null }));
});

test('without a move the sheet and the charts say what is missing', () => {
  const still = edits.removeFigure(straightShot(), { figureId: 'figure1' });
  const store = show(still);
  expect(screen.getByText('The exposure sheet appears once something travels along an arc.')).toBeTruthy();
  screen.unmount();
  renderOn(store, <SheetCharts />);
  expect(screen.getByText('Charts appear here once something travels along an arc.')).toBeTruthy();
});

test('charts say on average how fast it goes', async () => {
  renderOn(benchWith(straightShot(), 'sheet'), <SheetCharts />);
  // The charts themselves come as a part of their own.
  await act(async () => undefined);
  expect(screen.getByText('On average 6.00 units a frame while it moves.')).toBeTruthy();
});
