import { currentFrame, frameAfter, goTo, setRange, step, subscribePlayhead } from './playhead';

const range = { lengthFrames: 48, rate: 24, loops: true };

describe('playback keeps true speed by the clock', () => {
  test('a frame stands for as long as the rate says', () => {
    expect(frameAfter(0, 1, range)).toBe(1);
    expect(frameAfter(41, 1, range)).toBe(1);
    expect(frameAfter(42, 1, range)).toBe(2);
    expect(frameAfter(1000, 1, range)).toBe(25);
  });

  test('a late picture drops frames and never slows down', () => {
    expect(frameAfter(500, 10, range)).toBe(22);
    expect(frameAfter(1500, 1, { ...range, rate: 12 })).toBe(19);
  });

  test('it comes round when it loops, and ends when it does not', () => {
    expect(frameAfter(2000, 1, range)).toBe(1);
    expect(frameAfter(2000 + 500, 1, range)).toBe(13);
    expect(frameAfter(1990, 1, { ...range, loops: false })).toBe(48);
    expect(frameAfter(2000, 1, { ...range, loops: false })).toBeNull();
  });
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
