import {
  currentFrame,
  frameAfter,
  goTo,
  pause,
  setRange,
  step,
  subscribePlayhead,
  togglePlay,
} from './playhead';

const range = { lengthFrames: 48, rate: 24, loops: true };

describe('playback keeps true speed by the clock', () => {
  test('a frame stands for as long as the rate says', () => {
    expect(frameAfter(0, 1, range)).toEqual({ frame: 1, lap: 0 });
    expect(frameAfter(41, 1, range)?.frame).toBe(1);
    expect(frameAfter(42, 1, range)?.frame).toBe(2);
    expect(frameAfter(1000, 1, range)?.frame).toBe(25);
  });

  test('a late picture drops frames and never slows down', () => {
    expect(frameAfter(500, 10, range)?.frame).toBe(22);
    expect(frameAfter(1500, 1, { ...range, rate: 12 })?.frame).toBe(19);
  });

  test('it comes round when it loops, and ends when it does not', () => {
    expect(frameAfter(2000, 1, range)).toEqual({ frame: 1, lap: 1 });
    expect(frameAfter(4000 + 500, 1, range)).toEqual({ frame: 13, lap: 2 });
    expect(frameAfter(1990, 1, { ...range, loops: false })?.frame).toBe(48);
    expect(frameAfter(2000, 1, { ...range, loops: false })).toBeNull();
  });
});

test('of a passage it plays those frames alone, from within it or from its start', () => {
  const passage = { from: 11, until: 20 };
  expect(frameAfter(0, 15, { ...range, passage })).toEqual({ frame: 15, lap: 0 });
  // Six frames on it has come round: 20 was the last.
  expect(frameAfter(250, 15, { ...range, passage })).toEqual({ frame: 11, lap: 1 });
  expect(frameAfter(250, 15, { ...range, passage, loops: false })).toBeNull();
  setRange({ ...range, passage });
  goTo(40);
  togglePlay();
  expect(currentFrame()).toBe(11);
  pause();
  goTo(15);
  togglePlay();
  expect(currentFrame()).toBe(15);
  pause();
  setRange(range);
});

test('the playhead stays within the shot, also when the shot gets shorter', () => {
  setRange(range);
  goTo(99);
  expect(currentFrame()).toBe(48);
  step(-100);
  expect(currentFrame()).toBe(1);
  goTo(40);
  setRange({ ...range, lengthFrames: 12 });
  expect(currentFrame()).toBe(12);
});

test('a follower that leaves does not take along another that follows with the same function', () => {
  const told = jest.fn();
  const [first, second] = [subscribePlayhead(told), subscribePlayhead(told)];
  first();
  setRange({ lengthFrames: 21, rate: 24, loops: false });
  goTo(1);
  told.mockClear();
  goTo(5);
  expect(told).toHaveBeenCalledTimes(1);
  second();
  goTo(6);
  expect(told).toHaveBeenCalledTimes(1);
});
