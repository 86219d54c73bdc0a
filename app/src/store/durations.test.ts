import { durationIn, readDuration } from './durations';

const read = (text: string) =>
  readDuration(text, { from: 40, rate: 24, times: (factor) => Math.round(40 * factor) });

test.each([
  ['36', 36],
  ['36 frames', 36],
  ['1.5 s', 36],
  ['1,5s', 36],
  ['1.5 ×', 60],
  ['× 1.5', 60],
  ['x0.5', 20],
  ['150 %', 60],
  ['50%', 20],
])('%s is %i frames', (text, frames) => expect(read(text)).toBe(frames));

test.each(['', 'long', '2 weeks', '× 2 s', '1.5.2'])('“%s” is no duration', (text) =>
  expect(read(text)).toBeNull(),
);

test('the same duration in other units', () => {
  expect(['s', '×', '%', 'frames'].map((unit) => durationIn(36, unit, 24))).toEqual([1.5, 1, 100, 36]);
});
