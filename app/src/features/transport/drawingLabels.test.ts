import { drawingLabels } from './drawingLabels';

test('the rail writes the number of a drawing where it changes and where there is room', () => {
  const row = (frame: number, drawing: number) => ({ frame, drawing });
  const texts = (rows: ReturnType<typeof row>[], width: number) =>
    drawingLabels(rows, 21, width).map(({ text }) => text);
  expect(texts([row(1, 1), row(2, 1), row(3, 2), row(5, 0)], 600)).toEqual(['1', '2', '–']);
  // Too narrow for all: only where the cycle begins.
  expect(
    texts(
      Array.from({ length: 20 }, (_, k) => row(k + 1, 1 + (k % 5))),
      200,
    ),
  ).toEqual(['1', '1', '1', '1']);
});
