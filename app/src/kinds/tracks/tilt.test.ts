import { tiltOf } from './tilt';

test('a heading is a tilt, with its whole turns apart', () => {
  expect(tiltOf(-6.04)).toBe('tilt −6.0°');
  expect(tiltOf(-345)).toBe('tilt 15.0° (−1 turn)');
  expect(tiltOf(725)).toBe('tilt 5.0° (2 turns)');
  expect(tiltOf(179.9)).toBe('tilt 179.9°');
});
