import { samplesOn } from './gesture';

const on = (ms: readonly number[]) =>
  samplesOn({ x: ms.map(() => 0), y: ms.map(() => 0), ms }, 20).map(({ frame }) => frame);

test('samples are spread over the frames by their clock', () => {
  expect(on([0, 100, 150, 400])).toEqual([0, 5, 7.5, 20]);
});

test('where the clock never ran they follow each other evenly', () => {
  expect(on([0, 0, 0, 0, 0])).toEqual([0, 5, 10, 15, 20]);
});
