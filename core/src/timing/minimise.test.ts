import { minimise } from './minimise';

test('a bowl has its least at its foot', () => {
  const [x, y] = minimise(([a, b]) => (a! - 3) ** 2 + 2 * (b! + 1) ** 2, [0, 0], [1, 1]);
  expect([x, y]).toEqual([expect.closeTo(3, 3), expect.closeTo(-1, 3)]);
});

test('of what has no least it stops looking', () => {
  let calls = 0;
  const cost = ([a]: readonly number[]): number => {
    if (++calls > 10_000) throw new Error('It goes on looking.');
    return -a!;
  };
  expect(minimise(cost, [0], [1])[0]).toBeGreaterThan(100);
});
