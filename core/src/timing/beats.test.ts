import { findBeats } from './beats';

const PER_SECOND = 200;

/** Peaks of a sound of so many seconds, by what it is at each moment. */
const sound = (seconds: number, loud: (t: number) => number) => ({
  perSecond: PER_SECOND,
  peaks: Float32Array.from({ length: seconds * PER_SECOND }, (_, i) => loud(i / PER_SECOND)),
});

/** A beep of some loudness that begins at a moment and dies away. */
const beep =
  (at: number, loudness = 1) =>
  (t: number): number =>
    t < at ? 0 : loudness * Math.exp(-12 * (t - at));

const together =
  (...parts: readonly ((t: number) => number)[]) =>
  (t: number): number =>
    Math.max(0.01, ...parts.map((part) => part(t)));

test('beeps are found where they begin', () => {
  const found = findBeats(sound(3, together(beep(0.5), beep(1.25, 0.8), beep(2, 0.6))), 0.4);
  expect(found).toHaveLength(3);
  [0.5, 1.25, 2].forEach((at, i) => expect(found[i]).toBeCloseTo(at, 2));
});

test('the level leaves the quiet ones out', () => {
  const steps = sound(3, together(beep(0.5), beep(1.25, 0.5), beep(2, 0.2)));
  expect([0.1, 0.4, 0.7].map((level) => findBeats(steps, level).length)).toEqual([3, 2, 1]);
});

test('an even hum, a slow swell and silence have none besides their beginning', () => {
  expect(
    findBeats(
      sound(2, () => 0),
      0.1,
    ),
  ).toEqual([]);
  expect(
    findBeats(
      sound(2, (t) => 0.2 + 0.4 * t),
      0.1,
    ),
  ).toEqual([0]);
  expect(
    findBeats(
      sound(2, (t) => (t < 1 ? 0 : 0.7)),
      0.5,
    ),
  ).toEqual([1]);
});

test('what flutters right after a beginning is the same one', () => {
  const flutter = sound(1, (t) => (t < 0.3 ? 0.01 : Math.abs(Math.sin(80 * t)) * Math.exp(-6 * (t - 0.3))));
  expect(findBeats(flutter, 0.5)).toHaveLength(1);
});
