import { createChunkedPath, CHUNK_COUNT } from './chunkedPath';

const rowOf = (count: number): number[] => Array.from({ length: count }, (_, i) => i);

/** Writes numbers after their scale, and counts the pieces that it wrote. */
function counted() {
  const written: string[] = [];
  const pieces = createChunkedPath<number, number>({
    write: (things, { from, until }, scale) => {
      const text = Array.from(things)
        .slice(from, until)
        .map((thing) => thing * scale)
        .join(' ');
      written.push(text);
      return text;
    },
    isSame: Object.is,
  });
  return { pieces, written };
}

test('all things are in the pieces, each once and in order', () => {
  for (const count of [0, 1, 5, CHUNK_COUNT, 100]) {
    const { pieces } = counted();
    const all = pieces(rowOf(count), 1).filter((piece) => piece !== '');
    expect(all.join(' ').split(' ').filter(Boolean).map(Number)).toEqual(rowOf(count));
  }
});

test('where one thing changes, its piece alone is written again', () => {
  const { pieces, written } = counted();
  const before = pieces(rowOf(80), 1);
  expect(written).toHaveLength(CHUNK_COUNT);
  const after = pieces(
    rowOf(80).map((thing) => (thing === 35 ? 99 : thing)),
    1,
  );
  expect(written).toHaveLength(CHUNK_COUNT + 1);
  expect(after.map((piece, i) => piece === before[i])).toEqual(rowOf(CHUNK_COUNT).map((i) => i !== 3));
  expect(after[3]).toBe('30 31 32 33 34 99 36 37 38 39');
});

test('the last thing of a piece is seen by the next one, too', () => {
  const { pieces, written } = counted();
  pieces(rowOf(80), 1);
  pieces(
    rowOf(80).map((thing) => (thing === 39 ? 99 : thing)),
    1,
  );
  expect(written).toHaveLength(CHUNK_COUNT + 2);
});

test('another count, or another way to draw, writes all of them', () => {
  const { pieces, written } = counted();
  pieces(rowOf(80), 1);
  pieces(rowOf(81), 1);
  pieces(rowOf(81), 2);
  expect(written).toHaveLength(3 * CHUNK_COUNT);
  pieces(rowOf(81), 2);
  expect(written).toHaveLength(3 * CHUNK_COUNT);
});
