import { fireEvent, screen } from '@testing-library/react-native';
import { act } from 'react';
import { frameNumber } from '../../store/frameNumbers';
import { settingsChanged } from '../../store/settingsSlice';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { viewWords as words } from '../../words/view';
import { ViewSheet } from './ViewSheet';

test('what is chosen is a setting at once, and frames are numbered by it', () => {
  const store = benchWith(straightShot());
  renderOn(store, <ViewSheet />);
  fireEvent.press(screen.getByText(words.lampOut));
  expect(store.getState().settings.theme).toBe('lampout');
  expect(frameNumber(1)).toBe(1);
  fireEvent.press(screen.getByText(words.firstFrameZero));
  expect(store.getState().settings.firstFrame).toBe(0);
  expect(frameNumber(1)).toBe(0);
  act(() => void store.dispatch(settingsChanged({ firstFrame: 1, theme: 'paper' })));
  expect(frameNumber(1)).toBe(1);
});

test('it is closed by its cross', () => {
  const store = benchWith(straightShot());
  renderOn(store, <ViewSheet />);
  fireEvent.press(screen.getByLabelText(words.closeTheViewSheet));
  expect(store.getState().session.sheet).toBeNull();
});
