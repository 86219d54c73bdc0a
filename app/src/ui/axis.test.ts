import { at, type Axis, onFreshPixels, roundStep, valueAt, within, withInSight, zoomed } from './axis';

/** A frame is 10 pixels and a unit 1, upwards. */
const time: Axis = { from: 1, to: 21, start: 0, end: 200 };
const distance: Axis = { from: 0, to: 120, start: 120, end: 0 };

describe('an axis', () => {
  test('lays values along pixels, upwards too, and reads them back', () => {
    expect(at(time, 11)).toBe(100);
    expect(at(distance, 30)).toBe(90);
    expect(valueAt(distance, 90)).toBe(30);
  });

  test('is zoomed about a value that stays where it is, and never leaves the whole', () => {
    const whole = { from: 0, to: 100 };
    const closer = zoomed(whole, 25, 2, whole);
    expect(closer).toEqual({ from: 12.5, to: 62.5 });
    expect(zoomed(closer, 20, 0.1, whole)).toEqual(whole);
    expect(within({ from: 90, to: 120 }, whole)).toEqual({ from: 70, to: 100 });
    expect(zoomed(whole, 50, 1e9, whole).to - zoomed(whole, 50, 1e9, whole).from).toBeCloseTo(0.25, 9);
  });

  test('brings into its middle what is to be looked at and is out of sight', () => {
    const part = { from: 10, to: 30 };
    expect(withInSight(part, 30)).toBe(part);
    expect(withInSight(part, 70)).toEqual({ from: 60, to: 80 });
  });

  test('is read between round numbers', () => {
    expect([roundStep(100, 10), roundStep(57, 8), roundStep(1000, 6)]).toEqual([10, 10, 200]);
  });

  test('what falls on the same pixels is drawn once', () => {
    const isFresh = onFreshPixels(0.5);
    expect([10, 10.1, 10.6, 10].map(isFresh)).toEqual([true, false, true, false]);
  });
});
