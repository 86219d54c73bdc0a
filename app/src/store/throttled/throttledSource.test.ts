import { nextFrame, nextTask } from './nextTask';
import { createThrottledSource, throttleGroup } from './throttledSource';

// No frames are drawn here.
jest.mock('./nextTask', () => {
  const { nextTask } = jest.requireActual<typeof import('./nextTask')>('./nextTask');
  return { nextTask, nextFrame: jest.fn(nextTask) };
});

/** A number that changes, and who follows it. */
function changing() {
  let value = 0;
  const followers: (() => void)[] = [];
  const throttled = createThrottledSource({
    read: () => value,
    follow: (listener) => followers.push(listener),
    everyMs: 100,
    group: throttleGroup(),
    maxLoadDivisor: 8,
    changesContinuously: (number) => number < 0,
  });
  const set = (next: number): void => {
    value = next;
    followers.forEach((follower) => follower());
  };
  return { throttled, set };
}

const EVERYONE = 5;
const turns = async (): Promise<void> => {
  for (let i = 0; i < 4 * EVERYONE; i++) await Promise.resolve();
};

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('with nothing in the hand everyone hears of each change at once, and of no change never', () => {
  const { throttled, set } = changing();
  const told = jest.fn();
  const stop = throttled.subscribe(told);
  set(1);
  set(2);
  set(2);
  expect(told).toHaveBeenCalledTimes(2);
  expect(throttled.get()).toBe(2);
  stop();
  set(3);
  expect(told).toHaveBeenCalledTimes(2);
});

test('while it is held all see what was told last, until it is told again', async () => {
  const { throttled, set } = changing();
  const told = Array.from({ length: EVERYONE }, () => jest.fn());
  told.forEach((listener) => throttled.subscribe(listener));
  throttled.begin();
  for (let value = 1; value <= 50; value++) set(value);
  expect(throttled.get()).toBe(0);
  jest.advanceTimersByTime(99);
  await turns();
  expect(told[0]).not.toHaveBeenCalled();
  jest.advanceTimersByTime(1);
  await turns();
  told.forEach((listener) => expect(listener).toHaveBeenCalledTimes(1));
  expect(throttled.get()).toBe(50);
  set(51);
  throttled.end();
  expect(throttled.get()).toBe(51);
  await turns();
  told.forEach((listener) => expect(listener).toHaveBeenCalledTimes(2));
});

test('who went away meanwhile is not told, and what comes meanwhile takes the place of the rest', async () => {
  const { throttled, set } = changing();
  const heard: string[] = [];
  throttled.subscribe(() => heard.push(`first ${throttled.get()}`));
  const stop = throttled.subscribe(() => heard.push(`gone ${throttled.get()}`));
  throttled.subscribe(() => heard.push(`last ${throttled.get()}`));
  throttled.begin();
  set(1);
  throttled.end();
  stop();
  set(2);
  await turns();
  expect(heard).toEqual(['first 1', 'first 2', 'last 2']);
});

test('what changes by itself is told as if it were held; its end at once', async () => {
  const { throttled, set } = changing();
  const told = jest.fn();
  throttled.subscribe(told);
  for (let value = -1; value >= -20; value--) set(value);
  expect(told).not.toHaveBeenCalled();
  jest.advanceTimersByTime(0);
  await turns();
  expect(told).toHaveBeenCalledTimes(1);
  set(7);
  expect(told).toHaveBeenCalledTimes(2);
  expect(throttled.get()).toBe(7);
});

/** Lets everything that waits for a task of its own have it. */
const tasks = async (): Promise<void> => {
  for (let i = 0; i < 4 * EVERYONE; i++) await nextTask();
};

test('while it is held a frame is drawn between those that take long, else only others have their turn', async () => {
  const { throttled, set } = changing();
  const slow = (): void => void jest.advanceTimersByTime(10);
  for (let i = 0; i < 3; i++) throttled.subscribe(slow);
  jest.mocked(nextFrame).mockClear();
  throttled.begin();
  set(1);
  jest.advanceTimersByTime(100);
  await tasks();
  expect(nextFrame).toHaveBeenCalledTimes(3);
  set(2);
  throttled.end();
  await tasks();
  expect(nextFrame).toHaveBeenCalledTimes(3);
});

test('where telling takes long it waits for a rest of the hand, and stops when the hand moves on', async () => {
  const { throttled, set } = changing();
  const heard: number[] = [];
  const slow = (): void => {
    heard.push(throttled.get());
    jest.advanceTimersByTime(50);
  };
  throttled.subscribe(slow);
  throttled.subscribe(slow);
  throttled.begin();
  set(1);
  jest.advanceTimersByTime(100);
  await tasks();
  expect(heard).toEqual([1, 1]);
  throttled.end();

  throttled.begin();
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
  throttled.end();
});
