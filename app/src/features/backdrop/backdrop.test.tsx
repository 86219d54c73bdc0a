import { fireEvent, screen } from '@testing-library/react-native';
import { act } from 'react';
import { lineLaid, toolChosen } from '../../store/editorSlice';
import { benchWith, renderOn, shotOn, straightShot } from '../../testing/bench';
import { backdropWords as words } from '../../words/backdrop';
import { CalibrateCard } from './CalibrateCard';

const lengthField = () => screen.getByLabelText(`${words.knownLength}, mm`);

test('a line over a known length gives the field its scale', () => {
  const store = benchWith(straightShot(), 'arc');
  renderOn(store, <CalibrateCard />);
  fireEvent.press(screen.getByText(words.setTheScale));
  expect(screen.getByText(words.drawALineInTheField)).toBeTruthy();
  act(() => void store.dispatch(lineLaid({ from: { x: 0, y: 0 }, to: { x: 300, y: 400 } })));
  expect(screen.getByText(words.calibrationQuestion('500.0'))).toBeTruthy();
  fireEvent.changeText(lengthField(), '250');
  fireEvent(lengthField(), 'blur');
  fireEvent.press(screen.getByText(words.setThisScale));
  expect(shotOn(store).field.unitsPerMm).toBeCloseTo(2, 12);
  expect(store.getState().editor.tool).toBe('shape');
});

test('a line without any length sets no scale, and a discarded one changes nothing', () => {
  const store = benchWith(straightShot(), 'arc');
  renderOn(store, <CalibrateCard />);
  act(() => {
    store.dispatch(toolChosen('calibrate'));
    store.dispatch(lineLaid({ from: { x: 7, y: 7 }, to: { x: 7, y: 7 } }));
  });
  fireEvent.press(screen.getByText(words.setThisScale));
  expect(shotOn(store).field.unitsPerMm).toBeNull();
  fireEvent.press(screen.getByText(words.discard));
  expect(store.getState().editor.tool).toBe('shape');
  expect(store.getState().shot.past).toHaveLength(0);
});
