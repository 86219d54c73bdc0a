import { edits, evaluate } from '@humble/core';
import { act, fireEvent, screen } from '@testing-library/react-native';
import { marksSelected } from '../../../store/editorSlice';
import { goTo, setRange } from '../../../playback/playhead';
import type { AppStore } from '../../../store/store';
import { benchWith, moveOn, renderOn, shotOn, straightShot, withMarks } from '../../../testing/bench';
import { TimingGroups } from '../testing';

const press = (role: 'button' | 'radio', name: string): void =>
  void fireEvent.press(screen.getByRole(role, { name }));
const select = (store: AppStore, ...ids: string[]): void =>
  act(() => void store.dispatch(marksSelected(ids)));

/** Three spans and a hold along 120 units; the first one is ramped, the others even. */
const fourSpans = () =>
  edits.setEasing(withMarks(straightShot(41), [1, 0], [11, 0.3], [15, 0.3], [27, 0.6], [41, 1]), {
    moveId: 'move1',
    markId: 'm1',
    easing: { kind: 'ramped', leaveFrames: 3, arriveFrames: 2, ramp: 'soft' },
  });

function show(shot = fourSpans()): AppStore {
  setRange({ lengthFrames: shot.lengthFrames, rate: 12, loops: true });
  goTo(1);
  const store = benchWith(shot);
  renderOn(store, <TimingGroups />);
  return store;
}

const easings = (store: AppStore) => moveOn(store).marks.map(({ easing }) => easing.kind);

test('an easing is copied to all other spans, a hold is left alone', () => {
  const store = show();
  press('button', 'Apply to all spans');
  expect(easings(store)).toEqual(['ramped', 'even', 'ramped', 'ramped', 'even']);
  expect(moveOn(store).marks[3]!.easing).toEqual(moveOn(store).marks[0]!.easing);
});

test('or to the spans of the marks that are selected only', () => {
  const store = show();
  select(store, 'm1', 'm4');
  press('button', 'Apply to selected spans');
  expect(easings(store)).toEqual(['ramped', 'even', 'even', 'ramped', 'even']);
});

test('marks become passes and stops again, one or several', () => {
  const store = show();
  const kinds = () => moveOn(store).marks.map(({ kind }) => kind);
  select(store, 'm4');
  press('radio', 'Pass');
  expect(kinds()).toEqual(['stop', 'stop', 'stop', 'pass', 'stop']);
  select(store, 'm2', 'm3', 'm4');
  press('radio', 'Pass');
  expect(kinds()).toEqual(['stop', 'pass', 'pass', 'pass', 'stop']);
  press('radio', 'Stop');
  expect(kinds()).toEqual(['stop', 'stop', 'stop', 'stop', 'stop']);
});

test('round a closed arc a mark goes a lap on and a lap back; on an open one there are no laps', () => {
  const open = show();
  select(open, 'm5');
  expect(screen.queryByRole('button', { name: 'One lap on' })).toBeNull();
  screen.unmount();
  const store = show({
    ...fourSpans(),
    arcs: fourSpans().arcs.map((arc) => ({ ...arc, closed: true })),
  });
  select(store, 'm5');
  press('button', 'One lap on');
  expect(moveOn(store).marks[4]!.fraction).toBeCloseTo(2, 9);
  press('button', 'One lap back');
  press('button', 'One lap back');
  expect(moveOn(store).marks[4]!.fraction).toBeCloseTo(0, 9);
});

test('what happens before the first and after the last mark is chosen apart', () => {
  const store = show(withMarks(straightShot(41), [11, 0.25], [21, 0.75]));
  const places = (...frames: number[]) => {
    const { arcDistance } = evaluate(shotOn(store)).travels[0]!;
    return frames.map((frame) => Math.round(arcDistance[frame - 1]!));
  };
  expect(places(6, 26)).toEqual([30, 90]);
  // Five frames before the first mark it is where it will be five after it: half way from 30 to 90.
  const swings = screen.getAllByRole('radio', { name: 'Back and forth' });
  fireEvent.press(swings[0]!);
  expect(places(6, 26)).toEqual([60, 90]);
  fireEvent.press(screen.getAllByRole('radio', { name: 'Continue' })[1]!);
  expect(places(6, 26)).toEqual([60, 120]);
});

test('a span that would lead past an end of its arc says that the figure waits there', () => {
  const windUp = { kind: 'wind-up', backFrames: 4, back: 0.3 } as const;
  const store = show(edits.setEasing(fourSpans(), { moveId: 'move1', markId: 'm1', easing: windUp }));
  expect(screen.getByText(/The arc ends here, so the figure waits/)).toBeTruthy();
  press('radio', 'Even');
  expect(screen.queryByText(/The arc ends here/)).toBeNull();
  expect(easings(store)[0]).toBe('even');
});
