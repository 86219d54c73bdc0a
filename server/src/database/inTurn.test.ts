import { createInTurn } from './inTurn';

test('one piece of work waits for the one before it, also where that fails', async () => {
  const inTurn = createInTurn();
  const said: string[] = [];
  const work = (name: string, ms: number) => async (): Promise<string> => {
    said.push(`${name} begins`);
    await new Promise((resolve) => setTimeout(resolve, ms));
    said.push(`${name} ends`);
    if (name === 'b') throw new Error('b fails');
    return name;
  };
  const [a, b, c] = [inTurn(work('a', 20)), inTurn(work('b', 1)), inTurn(work('c', 1))];
  await expect(b).rejects.toThrow('b fails');
  expect([await a, await c]).toEqual(['a', 'c']);
  expect(said).toEqual(['a begins', 'a ends', 'b begins', 'b ends', 'c begins', 'c ends']);
});
