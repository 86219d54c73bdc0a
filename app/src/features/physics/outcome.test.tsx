import { ShotError } from '@humble/core';
import { screen } from '@testing-library/react-native';
import { benchWith, renderOn, straightShot } from '../../testing/bench';
import { Outcome } from './Outcome';

const shown = (timing: Parameters<typeof Outcome>[0]['timing']) =>
  renderOn(benchWith(straightShot()), <Outcome timing={timing} />);

test('says how long a move takes, and which of its moments are rounded', () => {
  shown(() => ({ seconds: 1.1183, frames: 13.42, rounded: [{ frame: 13, by: -0.42 }] }) as never);
  expect(screen.getByText(/1\.118/)).toBeTruthy();
  expect(screen.getByTestId('roundings')).toHaveTextContent(/13\.42 on 13/);
});

test('says why nothing comes of it; a fault is not swallowed', () => {
  shown(() => {
    throw new ShotError('out-of-range', 'It never comes to rest.');
  });
  expect(screen.getByText('It never comes to rest.')).toBeTruthy();
  const logged = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(() =>
    shown(() => {
      throw new TypeError('a fault');
    }),
  ).toThrow('a fault');
  logged.mockRestore();
});
