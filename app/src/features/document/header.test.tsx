import { screen } from '@testing-library/react-native';
import { act } from 'react';
import { draftStatusChanged, type SaveStatus, saveStatusChanged } from '../../store/sessionSlice';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { Header } from './Header';

const nothing = (): void => undefined;
const header = (
  <Header layout="phone" onBack={nothing} onMenu={nothing} onHelp={nothing} onExport={nothing} />
);

test.each<[SaveStatus, RegExp]>([
  ['saved', /saved$/],
  ['saving', /saving…$/],
  ['offline', /server isn’t answering/i],
  ['failed', /server could not save/i],
  ['removed', /removed/i],
])('a shot that is %s says so', (status, sentence) => {
  const store = benchWith(straightShot());
  renderOn(store, header);
  act(() => void store.dispatch(saveStatusChanged({ status })));
  expect(screen.getByText(sentence)).toBeTruthy();
});

test('what this browser could not keep is never said to be kept', () => {
  const store = benchWith(straightShot());
  renderOn(store, header);
  act(() => void store.dispatch(saveStatusChanged({ status: 'offline' })));
  expect(screen.getByText(/on this device/i)).toBeTruthy();
  act(() => void store.dispatch(draftStatusChanged({ isUnkept: true })));
  expect(screen.queryByText(/on this device/i)).toBeNull();
  expect(screen.getByText(/keep this page open/i)).toBeTruthy();
});
