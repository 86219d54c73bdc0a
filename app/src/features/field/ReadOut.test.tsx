import { edits } from '@humble/core';
import { act, screen } from '@testing-library/react-native';
import { goTo, setRange } from '../../playback/playhead';
import { setHoveredFrame } from '../../playback/hoveredFrame';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { ReadOut } from './ReadOut';

test('frame, seconds, place and increment are told on a phone: at the playhead, and under the pointer', () => {
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(1);
  renderOn(benchWith(straightShot()), <ReadOut />);
  const words = () => screen.getByTestId('read-out');
  expect(words()).toHaveTextContent('1 · 0.00 s · 0.0 · step –');
  // 120 units in 20 even frames at 12 a second: 6 a frame, 72 a second.
  act(() => setHoveredFrame(11));
  expect(words()).toHaveTextContent('11 · 0.83 s · 60.0 · step 6.0');
  act(() => goTo(21));
  expect(words()).toHaveTextContent('11 · 0.83 s · 60.0 · step 6.0');
  act(() => setHoveredFrame(null));
  expect(words()).toHaveTextContent('21 · 1.67 s · 120.0 · step 6.0');
});

test('in the Figure step it tells the heading, and the value of each track that has keys', () => {
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(11);
  const shot = straightShot();
  const keyed = edits.setKey(edits.setKey(shot, { moveId: 'move1', track: 'turn', frame: 21, value: 90 }), {
    moveId: 'move1',
    track: 'turn',
    frame: 1,
    value: 0,
  });
  const faded = edits.setKey(keyed, { moveId: 'move1', track: 'opacity', frame: 1, value: 40 });
  renderOn(benchWith(faded, 'figure'), <ReadOut />);
  expect(screen.getByTestId('read-out')).toHaveTextContent(
    '11 · 0.83 s · tilt 45.0° · turn 45.0° · opacity 40%',
  );
});
