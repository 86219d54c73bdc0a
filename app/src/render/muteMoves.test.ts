/** @jest-environment jsdom */
import { muteMoves } from './muteMoves';

test('while something is held nobody else hears of the same movement again; the pointer itself is heard', () => {
  const heard: string[] = [];
  const hear = ({ type }: Event): void => void heard.push(type);
  const kinds = ['pointermove', 'mousemove', 'touchmove', 'mouseup'];
  kinds.forEach((kind) => document.addEventListener(kind, hear));
  const move = (): string[] => {
    heard.length = 0;
    kinds.forEach((kind) => document.body.dispatchEvent(new Event(kind, { bubbles: true })));
    return [...heard];
  };
  muteMoves(true);
  muteMoves(true);
  expect(move()).toEqual(['pointermove', 'mouseup']);
  muteMoves(false);
  expect(move()).toEqual(kinds);
});
