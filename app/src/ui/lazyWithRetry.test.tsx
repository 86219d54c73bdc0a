import { act, fireEvent, render, screen } from '@testing-library/react-native';
import { lazyWithRetry } from './lazyWithRetry';
import { Words } from './Words';

const Greeting = ({ name }: { readonly name: string }) => <Words>{`Ahoy, ${name}`}</Words>;
const waiting = <Words>A moment</Words>;

test('a part that comes later stands there when it has come, and at once the next time', async () => {
  const load = jest.fn(() => Promise.resolve(Greeting));
  const Part = lazyWithRetry(load, waiting);
  const { unmount } = render(<Part name="Crab" />);
  expect(screen.getByText('A moment')).toBeTruthy();
  expect(await screen.findByText('Ahoy, Crab')).toBeTruthy();
  unmount();
  render(<Part name="Gull" />);
  expect(screen.getByText('Ahoy, Gull')).toBeTruthy();
  expect(load).toHaveBeenCalledTimes(1);
});

test('a part that could not be fetched says so, and can be tried again', async () => {
  let isAway = true;
  const Part = lazyWithRetry(
    () => (isAway ? Promise.reject(new Error('away')) : Promise.resolve(Greeting)),
    waiting,
  );
  render(<Part name="Crab" />);
  expect(await screen.findByText(/this part of the page hasn’t loaded yet/)).toBeTruthy();
  await act(async () => fireEvent.press(screen.getByRole('button', { name: 'Try again' })));
  expect(screen.getByText(/hasn’t loaded yet/)).toBeTruthy();
  isAway = false;
  await act(async () => fireEvent.press(screen.getByRole('button', { name: 'Try again' })));
  expect(screen.getByText('Ahoy, Crab')).toBeTruthy();
});

test('a part that could not be fetched is tried again by itself', async () => {
  jest.useFakeTimers();
  let isAway = true;
  const Part = lazyWithRetry(
    () => (isAway ? Promise.reject(new Error('away')) : Promise.resolve(Greeting)),
    waiting,
  );
  render(<Part name="Crab" />);
  await act(() => jest.advanceTimersByTimeAsync(100));
  expect(screen.getByText(/hasn’t loaded yet/)).toBeTruthy();
  await act(() => jest.advanceTimersByTimeAsync(3_100));
  expect(screen.getByText(/hasn’t loaded yet/)).toBeTruthy();
  isAway = false;
  await act(() => jest.advanceTimersByTimeAsync(3_100));
  expect(screen.getByText('Ahoy, Crab')).toBeTruthy();
  jest.useRealTimers();
});
