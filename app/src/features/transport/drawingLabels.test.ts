import { drawingLabels } from './drawingLabels';

test('the rail writes the number of a drawing where it changes and where there is room', () => {
  const row = (frame: number, drawing: number) => ({ frame, drawing });
  const texts = (rows: ReturnType<typeof row>[], width: number) =>
    drawingLabels(rows, 21, width).map(({ text }) => text);
  expect(texts([row(1, 1), row(2, 1), row(3, 2), row(5, 0)], 600)).toEqual(['1', '2', '–']);
  expect(
    texts(
      [1, 2, 3, 4, 5].map((n) => row(n, n)),
      150,
    ),
  ).toEqual(['1', '4']);
});
