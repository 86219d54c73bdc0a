import { edits } from '@humble/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { followSelection } from '../../commands/followSelection';
import { rangePicked } from '../../store/editorSlice';
import { currentFrame, goTo, setRange } from '../../playback/playhead';
import { selectPickedRange, selectPassage } from '../../store/selectors/timingSelection';
import { benchWith, moveOn, renderOn, shotOn, straightShot, withMarks } from '../../testing/bench';
import { TimingGroups } from './testing';
import { selectHandles } from './targets/selectTiming';

const show = (shot = straightShot()) => {
  const store = benchWith(shot);
  renderOn(store, <TimingGroups />);
  return store;
};

test('an even span that becomes steady gets a ramp of a quarter at each end; soft keeps its frames', () => {
  const store = show();
  expect(screen.queryByLabelText('Leave slowly over, frames')).toBeNull();
  fireEvent.press(screen.getByRole('radio', { name: 'Plain' }));
  expect(moveOn(store).marks[0]!.easing).toEqual({
    kind: 'ramped',
    leaveFrames: 5,
    arriveFrames: 5,
    ramp: 'steady',
  });
  fireEvent.changeText(screen.getByLabelText('Leave slowly over, frames'), '8');
  fireEvent(screen.getByLabelText('Leave slowly over, frames'), 'blur');
  fireEvent.press(screen.getByRole('radio', { name: 'Soft' }));
  expect(moveOn(store).marks[0]!.easing).toEqual({
    kind: 'ramped',
    leaveFrames: 8,
    arriveFrames: 5,
    ramp: 'soft',
  });
});

test('ramps that do not fit into the span say that they are shortened', () => {
  show();
  fireEvent.press(screen.getByRole('radio', { name: 'Plain' }));
  expect(screen.queryByText(/shortened in proportion/)).toBeNull();
  for (const name of ['Leave slowly over, frames', 'Arrive slowly over, frames'])
    fireEvent.changeText(screen.getByLabelText(name), '15');
  expect(
    screen.getByText('That’s more than 20 frames together, so both are shortened in proportion.'),
  ).toBeTruthy();
});

test('between marks the span is at hand, and the way to the marks before and after it', () => {
  setRange({ lengthFrames: 57, rate: 24, loops: true });
  goTo(5);
  const store = show(withMarks(straightShot(57), [1, 0], [25, 0.4], [33, 0.4], [57, 1]));
  const end = followSelection(store);
  expect(screen.getByText('Span 1 → 25')).toBeTruthy();
  expect(screen.getByText('24 increments')).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: 'Next mark' }));
  expect(currentFrame()).toBe(25);
  expect(screen.getByText('Mark on frame 25')).toBeTruthy();
  expect(screen.queryByText('Add a mark on 25')).toBeNull();
  act(() => goTo(28));
  expect(screen.getByText('Hold 25 → 33')).toBeTruthy();
  fireEvent.press(screen.getByRole('button', { name: 'Next mark' }));
  fireEvent.press(screen.getByRole('button', { name: 'Next mark' }));
  expect(currentFrame()).toBe(57);
  expect(screen.getByRole('button', { name: 'Next mark' })).toBeDisabled();
  fireEvent.press(screen.getByRole('button', { name: 'Previous mark' }));
  expect(screen.getByText('Span 33 → 57')).toBeTruthy();
  expect(store.getState().shot.past).toHaveLength(0);
  end();
});

test('between marks one press puts a mark there, which is at hand then', () => {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(7);
  const store = show();
  fireEvent.press(screen.getByRole('button', { name: 'Add a mark on 7' }));
  expect(moveOn(store).marks.map(({ frame }) => frame)).toEqual([1, 7, 21]);
  expect(screen.getByText('Mark on frame 7')).toBeTruthy();
});

test('marks apart by less than numbers can say are a hold, and nothing breaks', () => {
  setRange({ lengthFrames: 57, rate: 24, loops: true });
  goTo(28);
  const shot = withMarks(straightShot(57), [1, 0], [25, 0.3], [33, 0.1 + 0.2], [57, 1]);
  const store = benchWith(shot);
  renderOn(store, <TimingGroups />);
  expect(screen.getByText('Hold 25 → 33')).toBeTruthy();
  expect(selectHandles(store.getState())).toEqual([]);
});

test('an arrival between exposures is said, with the frame on which it is seen', () => {
  const store = show(straightShot(20));
  fireEvent.press(screen.getByRole('radio', { name: 'Twos' }));
  expect(moveOn(store).framesHeld).toBe(2);
  expect(screen.getByText(/the shot ends: the arrival is never seen/)).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Ends on frame'), '14');
  expect(screen.getByText('Frame 14 falls between exposures: the arrival is seen on frame 15.')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Ends on frame'), '15');
  expect(screen.queryByText(/falls between exposures/)).toBeNull();
});

test('what was put by hand and begins no exposure any more is said to rest', () => {
  const put = edits.putByHand(straightShot(21), { moveId: 'move1', frame: 4, dx: 2, dy: 0 });
  const store = show(put);
  expect(screen.queryByText(/has no effect/)).toBeNull();
  fireEvent.press(screen.getByRole('radio', { name: 'Twos' }));
  expect(
    screen.getByText(/Frame 4 was skipped or placed by hand, but no exposure starts there now/),
  ).toBeTruthy();
  fireEvent.press(screen.getByRole('radio', { name: 'On ones' }));
  expect(screen.queryByText(/has no effect/)).toBeNull();
  expect(moveOn(store).overrides).toHaveLength(1);
});

test('length and rate give the seconds; a move that fills the shot goes with it', () => {
  const store = show();
  expect(screen.getByText('1.75 s')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Length, frames'), '49');
  fireEvent(screen.getByLabelText('Length, frames'), 'blur');
  fireEvent.changeText(screen.getByLabelText('Rate, a second'), '24.5');
  expect(screen.getByText('2.00 s')).toBeTruthy();
  expect(shotOn(store)).toMatchObject({ lengthFrames: 49, rate: 24.5 });
  expect(moveOn(store).marks[1]!.frame).toBe(49);
});

test('frames that were chosen and that a shortened shot has no more are its last one', () => {
  const store = show();
  act(() => void store.dispatch(rangePicked({ by: 'frames', from: 15, until: 18 })));
  expect(screen.getByText('4 frames')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Length, frames'), '11');
  fireEvent(screen.getByLabelText('Length, frames'), 'blur');
  expect(screen.getByText('1 frame')).toBeTruthy();
  expect(screen.getByLabelText('From frame').props.value).toBe('11');
  expect(selectPickedRange(store.getState())!.stretch).toEqual({ from: 120, to: 120 });
});

test('a stretch of the arc that is travelled once is a passage of its frames', () => {
  const store = show();
  act(() => void store.dispatch(rangePicked({ by: 'stretch', from: 0.25, to: 0.5 })));
  const { runs } = selectPickedRange(store.getState())!;
  expect(runs).toHaveLength(1);
  expect(selectPassage(store.getState())).toEqual({ from: runs[0]!.from, until: runs[0]!.until });
  expect(selectPassage(store.getState())!.until).toBeGreaterThan(selectPassage(store.getState())!.from);
});

describe('how long the move lasts', () => {
  /** Out in ten frames, a hold of five, on in five. */
  const held = () => withMarks(straightShot(), [1, 0], [11, 0.5], [16, 0.5], [21, 1]);
  const type = (label: string, text: string): void => {
    fireEvent.changeText(screen.getByLabelText(label), text);
    fireEvent(screen.getByLabelText(label), 'blur');
  };
  const frames = (store: ReturnType<typeof show>) => moveOn(store).marks.map(({ frame }) => frame);

  test.each([
    ['30', [1, 16, 24, 31]],
    // Twelve frames a second.
    ['2.5 s', [1, 16, 24, 31]],
    ['1.5 ×', [1, 16, 24, 31]],
    ['150 %', [1, 16, 24, 31]],
  ])('as “%s”', (text, expected) => {
    const store = show(held());
    type('Lasts, frames', text);
    expect(frames(store)).toEqual(expected);
  });

  test('holds keep their frames where that is asked for', () => {
    const store = show(held());
    fireEvent.press(screen.getByRole('switch', { name: 'Holds keep their frames' }));
    type('Lasts, frames', '× 2');
    expect(frames(store)).toEqual([1, 21, 26, 36]);
  });

  test('too few frames are refused, and so is nonsense', () => {
    const store = show(held());
    type('Lasts, frames', '2');
    expect(screen.getByText('This move needs at least 3 frames.')).toBeTruthy();
    type('Lasts, frames', '2 weeks');
    expect(screen.getByText('“2 weeks” is not a number.')).toBeTruthy();
    expect(frames(store)).toEqual([1, 11, 16, 21]);
  });
});

test('a part of the arc is given frames in one form, typed letter by letter', () => {
  const store = show(straightShot(41));
  const type = (label: string, ...texts: string[]): void => {
    texts.forEach((text) => fireEvent.changeText(screen.getByLabelText(label), text));
    fireEvent(screen.getByLabelText(label), 'blur');
  };
  type('From place, units', '25 %');
  type('To place, units', '90');
  type('On it from frame', '2', '21');
  type('To frame', '3', '31');
  const marks = moveOn(store).marks.map(({ frame, fraction }) => [frame, fraction]);
  expect(marks).toEqual([
    [1, 0],
    [21, 0.25],
    [31, 0.75],
    [41, 1],
  ]);
  type('To frame', '41');
  expect(screen.getByText('There is a mark on frame 41, after it.')).toBeTruthy();
});
