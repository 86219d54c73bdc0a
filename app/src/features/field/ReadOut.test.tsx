import { act, screen } from '@testing-library/react-native';
import { goTo, setRange } from '../../playback/playhead';
import { setHoveredFrame } from '../../playback/hoveredFrame';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { ReadOut } from './ReadOut';

test('frame, seconds, place, increment and speed are told: at the playhead, and under the pointer', () => {
  setRange({ lengthFrames: 21, rate: 12, loops: true });
  goTo(1);
  renderOn(benchWith(straightShot()), <ReadOut />);
  const words = () => screen.getByTestId('read-out');
  expect(words()).toHaveTextContent('1 · 0.00 s · 0.0 · step –');
  // 120 units in 20 even frames at 12 a second: 6 a frame, 72 a second.
  act(() => setHoveredFrame(11));
  expect(words()).toHaveTextContent('11 · 0.83 s · 60.0 · step 6.0 · 72 units/s');
  act(() => goTo(21));
  expect(words()).toHaveTextContent('11 · 0.83 s · 60.0 · step 6.0 · 72 units/s');
  act(() => setHoveredFrame(null));
  expect(words()).toHaveTextContent('21 · 1.67 s · 120.0 · step 6.0 · 72 units/s');
});
