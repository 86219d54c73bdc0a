import { edits } from '@humble/core';
import { fireEvent, screen } from '@testing-library/react-native';
import { goTo, setRange } from '../../../playback/playhead';
import { benchWith, moveOn, renderOn, shotOn, straightShot } from '../../../testing/bench';
import { twoDrawings } from '../../../testing/drawings';
import { Words } from '../../../ui/Words';
import { PinsCard } from './PinsCard';
import { SpotsCard } from './SpotsCard';
import { ThroughCard } from './ThroughCard';

const Sheets = () => <Words>the sheets</Words>;

function showThrough(shot = twoDrawings(), frame = 1) {
  setRange({ lengthFrames: 21, rate: 24, loops: true });
  goTo(frame);
  const store = benchWith(shot, 'figure');
  const { figures, moves } = shotOn(store);
  renderOn(store, <ThroughCard figure={figures[0]!} move={moves[0]!} Sheets={Sheets} />);
  return store;
}

const through = edits.drawThrough(twoDrawings(), {
  moveId: 'move1',
  from: 1,
  until: 21,
  first: 1,
  second: 2,
  chart: null,
});

test('one press draws the first drawing through to the second, over the frames of the move', () => {
  const store = showThrough();
  fireEvent.press(screen.getByRole('button', { name: 'Draw through' }));
  expect(moveOn(store).drawings).toMatchObject([
    { frame: 1, drawing: 1, drawnThrough: { easing: null } },
    { frame: 21, drawing: 2, drawnThrough: null },
  ]);
  // One press is one step back.
  expect(store.getState().shot.past).toHaveLength(1);
});

test('what is drawn through has a chart, its numbers, and sheets; and can be held instead', () => {
  const store = showThrough(through, 11);
  expect(screen.getByText('1 → 2, frames 1 to 21')).toBeTruthy();
  fireEvent.press(screen.getByRole('radio', { name: 'Thirds' }));
  expect(moveOn(store).drawings[0]!.drawnThrough!.easing).toMatchObject({ kind: 'ticks' });
  fireEvent.press(screen.getByRole('radio', { name: 'In order' }));
  expect(shotOn(store).sheet.numbering).toBe('order');
  fireEvent.press(screen.getByText('Sheets to draw on'));
  expect(screen.getByText('the sheets')).toBeTruthy();
  fireEvent.press(screen.getByText('Hold instead'));
  expect(moveOn(store).drawings[0]!.drawnThrough).toBeNull();
});

test('a pin that is chosen tells when it arrives, bends and goes; without one there is only the editor', () => {
  const pinned = edits.addPin(through, {
    figureId: 'figure1',
    first: 1,
    second: 2,
    at: { first: { x: 60, y: 60 }, second: { x: 40, y: 40 } },
  });
  renderOn(benchWith(pinned, 'figure'), <PinsCard figure={pinned.figures[0]!} first={1} second={2} />);
  expect(screen.getByText('1 pin')).toBeTruthy();
  expect(screen.queryByText('Follows by')).toBeNull();
  expect(screen.getByLabelText(/side by side, with their pins/)).toBeTruthy();
});

test('a followed spot is renamed and let go of', () => {
  const followed = edits.followSpot(straightShot(), {
    figureId: 'figure1',
    place: { drawing: 1, x: 20, y: 20 },
    name: 'Nose',
  });
  const store = benchWith(followed, 'figure');
  renderOn(store, <SpotsCard figure={followed.figures[0]!} moveId="move1" drawing={1} />);
  const name = screen.getByLabelText('Name of Nose');
  fireEvent.changeText(name, 'Tip of the nose');
  fireEvent(name, 'submitEditing');
  expect(shotOn(store).figures[0]!.followedSpots[0]!.name).toBe('Tip of the nose');
  fireEvent.press(screen.getByLabelText('Stop following Nose'));
  expect(shotOn(store).figures[0]!.followedSpots).toEqual([]);
});
