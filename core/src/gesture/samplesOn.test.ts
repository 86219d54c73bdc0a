import { MAX_SAMPLES } from '../model/limits';
import { gestureFrom, samplesOn } from './gesture';

const on = (ms: readonly number[]) =>
  samplesOn({ x: ms.map(() => 0), y: ms.map(() => 0), ms }, 20).map(({ frame }) => frame);

test('samples are spread over the frames by their clock', () => {
  expect(on([0, 100, 150, 400])).toEqual([0, 5, 7.5, 20]);
});

test('where the clock never ran they follow each other evenly', () => {
  expect(on([0, 0, 0, 0, 0])).toEqual([0, 5, 10, 15, 20]);
});

test('a gesture may have so many places, and one more is refused', () => {
  const samples = Array.from({ length: MAX_SAMPLES + 1 }, (_, i) => ({ x: i % 7, y: 0, ms: i }));
  expect(gestureFrom(samples.slice(1), 1).ms).toHaveLength(MAX_SAMPLES);
  expect(() => gestureFrom(samples, 1)).toThrow(`A gesture has at most ${MAX_SAMPLES} places.`);
});
