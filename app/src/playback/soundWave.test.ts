import { peakBetween, wavePath, type SoundWave } from './soundWave';

/** Ten peaks a second from half a second on; the sixth of them is loud. */
const wave: SoundWave = {
  perSecond: 10,
  peaks: Float32Array.from([0, 0, 0.25, 0, 0, 1, 0, 0]),
  startSeconds: 0.5,
};

test('the loudest peak of some time counts, and silence before and after', () => {
  expect(peakBetween(wave, 0, 0.4)).toBe(0);
  expect(peakBetween(wave, 0.7, 0.8)).toBe(0.25);
  expect(peakBetween(wave, 0, 5)).toBe(1);
  expect(peakBetween(wave, 2, 3)).toBe(0);
});

test('it is drawn as a shape about its middle, a pixel at a time', () => {
  const path = wavePath(wave, (x) => x / 10, { start: 6, end: 11 }, 20, 8);
  expect(path).toBe(
    'M6 20.0L7 18.0L8 20.0L9 20.0L10 12.0L11 20.0L11 20.0L10 28.0L9 20.0L8 20.0L7 22.0L6 20.0Z',
  );
  expect(wavePath(wave, (x) => x, { start: 5, end: 4 }, 20, 8)).toBe('');
});
