import { fireEvent, screen } from '@testing-library/react-native';
import { edits, type Shot } from '@humble/core';
import { twoDrawings } from '../../../testing/drawings';
import { goTo, setRange } from '../../../playback/playhead';
import { benchWith, moveOn, renderOn, straightShot } from '../../../testing/bench';
import { Words } from '../../../ui/Words';
import { KeyLines } from './KeyLines';

function opened(text: string) {
  return function Opened() {
    return <Words>{text}</Words>;
  };
}

const show = (shot: Shot = straightShot()) => {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(11);
  const store = benchWith(shot, 'figure');
  renderOn(
    store,
    <KeyLines
      contents={{
        place: opened('of place'),
        drawing: opened('of drawing'),
        turn: opened('of turn'),
        size: opened('of size'),
        offset: opened('of offset'),
        opacity: opened('of opacity'),
        lean: opened('of lean'),
      }}
    />,
  );
  return store;
};

test('a line tells the value on this frame, and opens alone', () => {
  show();
  expect(screen.getAllByText('100 %')).toHaveLength(2);
  expect(screen.getByText(/^60/)).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Turn'));
  expect(screen.getByText('of turn')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Lean'));
  expect(screen.queryByText('of turn')).toBeNull();
  fireEvent.press(screen.getByLabelText('Lean'));
  expect(screen.queryByText('of lean')).toBeNull();
});

test('a post sets a key on this frame, and clears it; one of place is a mark', () => {
  const store = show();
  fireEvent.press(screen.getByLabelText('Set turn key on frame 11'));
  expect(moveOn(store).tracks.turn.map(({ frame }) => frame)).toEqual([11]);
  fireEvent.press(screen.getByLabelText('Clear turn key on frame 11'));
  expect(moveOn(store).tracks.turn).toEqual([]);
  fireEvent.press(screen.getByLabelText('Set place key on frame 11'));
  expect(moveOn(store).marks.map(({ frame }) => frame)).toEqual([1, 11, 21]);
  fireEvent.press(screen.getByLabelText('Clear place key on frame 11'));
  expect(moveOn(store).marks.map(({ frame }) => frame)).toEqual([1, 21]);
});

test('the post of an offset sets both its ways', () => {
  const store = show();
  fireEvent.press(screen.getByLabelText('Set offset key on frame 11'));
  const { offsetX, offsetY } = moveOn(store).tracks;
  expect([offsetX.length, offsetY.length]).toEqual([1, 1]);
  // One press is one step back.
  expect(store.getState().shot.past).toHaveLength(1);
  fireEvent.press(screen.getByLabelText('Clear offset key on frame 11'));
  expect(moveOn(store).tracks).toMatchObject({ offsetX: [], offsetY: [] });
  expect(store.getState().shot.past).toHaveLength(2);
});

test('a figure of several drawings has a line for them: which is shown, or how far one is drawn through', () => {
  show();
  expect(screen.queryByLabelText('Drawing')).toBeNull();
  screen.unmount();
  const store = show(twoDrawings());
  expect(screen.getByText('drawing 1')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Set drawing key on frame 11'));
  expect(moveOn(store).drawings).toMatchObject([{ frame: 11, drawing: 1 }]);
  fireEvent.press(screen.getByLabelText('Clear drawing key on frame 11'));
  expect(moveOn(store).drawings).toEqual([]);
  screen.unmount();
  show(
    edits.drawThrough(twoDrawings(), {
      moveId: 'move1',
      from: 1,
      until: 21,
      first: 1,
      second: 2,
      chart: null,
    }),
  );
  expect(screen.getByText('1 → 2, 50 %')).toBeTruthy();
});
