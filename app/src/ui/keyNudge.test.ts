import { keyNudge } from './keyNudge';

/** Presses a key on something that is dragged; tells what it was moved by and whether the key was used up. */
function press(key: string, shiftKey = false): { by: number[]; isUsed: boolean } {
  const by: number[] = [];
  const { onKeyDown } = keyNudge((amount) => by.push(amount)) as { onKeyDown: (event: object) => void };
  let used = 0;
  const use = (): void => void used++;
  onKeyDown({ key, shiftKey, preventDefault: use, stopPropagation: use });
  return { by, isUsed: used === 2 };
}

test.each([
  ['ArrowRight', false, 1],
  ['ArrowUp', false, 1],
  ['ArrowLeft', false, -1],
  ['ArrowDown', true, -10],
  ['PageUp', false, 10],
  ['PageDown', true, -10],
])('%s (shift %p) moves by %d, and the page does not scroll', (key, shift, by) => {
  expect(press(key, shift)).toEqual({ by: [by], isUsed: true });
});

test('other keys are left to the page', () => {
  for (const key of ['Tab', 'a', ' ', 'Home']) expect(press(key)).toEqual({ by: [], isUsed: false });
});
