import { nextFrame, nextTask } from '../ui/nextTask';
import { calmed, together } from './calm';

// No frames are drawn here.
jest.mock('../ui/nextTask', () => {
  const { nextTask } = jest.requireActual<typeof import('../ui/nextTask')>('../ui/nextTask');
  return { nextTask, nextFrame: jest.fn(nextTask) };
});

/** A number that changes, and who follows it. */
function changing() {
  let value = 0;
  const followers: (() => void)[] = [];
  const calm = calmed({
    read: () => value,
    follow: (listener) => followers.push(listener),
    everyMs: 100,
    others: together(),
    share: 8,
    isRestless: (number) => number < 0,
  });
  const set = (next: number): void => {
    value = next;
    followers.forEach((follower) => follower());
  };
  return { calm, set };
}

const EVERYONE = 5;
const turns = async (): Promise<void> => {
  for (let i = 0; i < 4 * EVERYONE; i++) await Promise.resolve();
};

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('with nothing in the hand everyone hears of each change at once, and of no change never', () => {
  const { calm, set } = changing();
  const told = jest.fn();
  const stop = calm.subscribe(told);
  set(1);
  set(2);
  set(2);
  expect(told).toHaveBeenCalledTimes(2);
  expect(calm.get()).toBe(2);
  stop();
  set(3);
  expect(told).toHaveBeenCalledTimes(2);
});

test('while it is held all see what was told last, until it is told again', async () => {
  const { calm, set } = changing();
  const told = Array.from({ length: EVERYONE }, () => jest.fn());
  told.forEach((listener) => calm.subscribe(listener));
  calm.hold();
  for (let value = 1; value <= 50; value++) set(value);
  expect(calm.get()).toBe(0);
  jest.advanceTimersByTime(99);
  await turns();
  expect(told[0]).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1);
  await turns();
  told.forEach((listener) => expect(listener).toHaveBeenCalledTimes(1));
  expect(calm.get()).toBe(50);
  set(51);
  calm.release();
  expect(calm.get()).toBe(51);
  await turns();
  told.forEach((listener) => expect(listener).toHaveBeenCalledTimes(2));
});

test('who went away meanwhile is not told, and what comes meanwhile takes the place of the rest', async () => {
  const { calm, set } = changing();
  const heard: string[] = [];
  calm.subscribe(() => heard.push(`first ${calm.get()}`));
  const stop = calm.subscribe(() => heard.push(`gone ${calm.get()}`));
  calm.subscribe(() => heard.push(`last ${calm.get()}`));
  calm.hold();
  set(1);
  calm.release();
  stop();
  set(2);
  await turns();
  expect(heard).toEqual(['first 1', 'first 2', 'last 2']);
});

test('what changes by itself is told as if it were held; its end at once', async () => {
  const { calm, set } = changing();
  const told = jest.fn();
  calm.subscribe(told);
  for (let value = -1; value >= -20; value--) set(value);
  expect(told).not.toHaveBeenCalled();
  jest.advanceTimersByTime(0);
  await turns();
  expect(told).toHaveBeenCalledTimes(1);
  set(7);
  expect(told).toHaveBeenCalledTimes(2);
  expect(calm.get()).toBe(7);
});

/** Lets everything that waits for a task of its own have it. */
const tasks = async (): Promise<void> => {
  for (let i = 0; i < 4 * EVERYONE; i++) await nextTask();
};

test('while it is held a frame is drawn between those that take long, else only others have their turn', async () => {
  const { calm, set } = changing();
  const slow = (): void => void jest.advanceTimersByTime(10);
  for (let i = 0; i < 3; i++) calm.subscribe(slow);
  jest.mocked(nextFrame).mockClear();
  calm.hold();
  set(1);
  jest.advanceTimersByTime(100);
  await tasks();
  expect(nextFrame).toHaveBeenCalledTimes(3);
  set(2);
  calm.release();
  await tasks();
  expect(nextFrame).toHaveBeenCalledTimes(3);
});

test('where telling takes long it waits for a rest of the hand, and stops when the hand moves on', async () => {
  const { calm, set } = changing();
  const heard: number[] = [];
  const slow = (): void => {
    heard.push(calm.get());
    jest.advanceTimersByTime(50);
  };
  calm.subscribe(slow);
  calm.subscribe(slow);
  calm.hold();
  set(1);
  jest.advanceTimersByTime(100);
  await tasks();
  expect(heard).toEqual([1, 1]);
  calm.release();

  calm.hold();
  for (let value = 2; value < 30; value++) {
    set(value);
    jest.advanceTimersByTime(20);
    await tasks();
  }
  expect(heard).toEqual([1, 1]);
  jest.advanceTimersByTime(120);
  expect(heard).toEqual([1, 1, 29]);
  set(30);
  await tasks();
  expect(heard).toEqual([1, 1, 29]);
  jest.advanceTimersByTime(120);
  await tasks();
  expect(heard).toEqual([1, 1, 29, 30, 30]);
  calm.release();
});
