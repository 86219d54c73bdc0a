import { inFormat } from './fieldFormat';

test('a field keeps its format when one side changes', () => {
  expect(inFormat('width', 1600, 16 / 9)).toEqual({ width: 1600, height: 900 });
  expect(inFormat('height', 300, 4 / 3)).toEqual({ width: 400, height: 300 });
  expect(inFormat('width', 1000, 1.85)).toEqual({ width: 1000, height: 540.5 });
});

test('no side leaves its limits, and the format holds as far as they allow', () => {
  expect(inFormat('width', 16, 16 / 9)).toEqual({ width: 28.4, height: 16 });
  expect(inFormat('height', 20_000, 16 / 9)).toEqual({ width: 20_000, height: 11_250 });
  expect(inFormat('width', 20_000, 1 / 2)).toEqual({ width: 10_000, height: 20_000 });
});
