import { runTimeSliced, nextFrame } from './nextTask';

/** Steps that each take so long by a clock that is moved by hand. */
function* stepsOf(count: number, eachMs: number, done: number[]): Generator<void> {
  for (let i = 0; i < count; i++) {
    now += eachMs;
    done.push(i);
    yield;
  }
}

let now = 0;
beforeEach(() => jest.spyOn(performance, 'now').mockImplementation(() => now));
afterEach(() => jest.restoreAllMocks());

test('others have their turn between the steps of a long work, and all of them are gone through', async () => {
  const done: number[] = [];
  const turns = jest.fn(() => true);
  await runTimeSliced(stepsOf(12, 3, done), turns);
  expect(done).toHaveLength(12);
  // Two steps of 3 ms and then a turn.
  expect(turns).toHaveBeenCalledTimes(6);
});

test('what is not wanted any longer stops at the next turn', async () => {
  const done: number[] = [];
  await runTimeSliced(stepsOf(12, 3, done), () => done.length < 4);
  expect(done).toEqual([0, 1, 2, 3]);
});

describe('the next frame', () => {
  const frames: (() => void)[] = [];
  beforeEach(() => {
    jest.useFakeTimers();
    frames.length = 0;
    Object.assign(globalThis, {
      requestAnimationFrame: (draw: () => void) => frames.push(draw),
      cancelAnimationFrame: jest.fn(),
    });
  });
  afterEach(() => jest.useRealTimers());

  test('is waited for until it has been drawn', async () => {
    const seen = jest.fn();
    const waits = nextFrame().then(seen);
    await Promise.resolve();
    expect(seen).not.toHaveBeenCalled();
    frames.forEach((draw) => draw());
    await waits;
    expect(seen).toHaveBeenCalled();
    expect(jest.getTimerCount()).toBe(0);
  });

  test('is not waited for without end on a page that nobody sees', async () => {
    const waits = nextFrame();
    jest.advanceTimersByTime(50);
    await waits;
    expect(cancelAnimationFrame).toHaveBeenCalled();
  });
});
