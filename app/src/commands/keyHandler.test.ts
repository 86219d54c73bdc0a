import { KEYS } from '../words/keys';
import { type KeyHandlers, keyHandler } from './keyHandler';

const pressed = (key: string, some: Partial<KeyboardEvent> = {}): KeyboardEvent => {
  const held = { Shift: some.shiftKey, Alt: some.altKey, Control: some.ctrlKey } as Record<string, boolean>;
  return {
    key,
    code: key,
    getModifierState: (name: string) => held[name] ?? false,
    ...some,
  } as KeyboardEvent;
};

/** Handlers that note what was done, and are for nothing else than what is named. */
function noted(isForIt: (name: string) => boolean = () => true) {
  const done: string[] = [];
  const handlers = new Proxy({} as KeyHandlers<'views'>, {
    get: (_, name: string) => () => {
      if (!isForIt(name)) return false;
      done.push(name);
    },
  });
  return { done, press: keyHandler('views', handlers) };
}

test('a key does what the table says, with its own modifiers only', () => {
  const { done, press } = noted();
  expect(press(pressed('PageDown'))).toBe(true);
  expect(press(pressed('ArrowLeft'))).toBe(false);
  expect(press(pressed('ArrowLeft', { altKey: true }))).toBe(true);
  expect(press(pressed('ArrowUp', { altKey: true, shiftKey: true }))).toBe(true);
  expect(press(pressed('PageDown', { ctrlKey: true }))).toBe(false);
  expect(press(pressed('+'))).toBe(true);
  expect(press(pressed('+', { shiftKey: true }))).toBe(true);
  expect(done).toEqual(['nextMark', 'nudge', 'nudgeFar', 'zoomIn', 'zoomInToo']);
});

test('a key that is for nothing now is left to others', () => {
  const { done, press } = noted((name) => name !== 'remove');
  expect(press(pressed('Delete'))).toBe(false);
  expect(press(pressed('Backspace'))).toBe(true);
  expect(done).toEqual(['removeToo']);
});

test('no two lines of a place have one key, and every name is bound once', () => {
  for (const { lines } of Object.values(KEYS)) {
    const bound = lines.flatMap(({ bindings }) => Object.entries<string>(bindings));
    const keys = bound.map(([, key]) => key);
    expect(new Set(keys).size).toBe(keys.length);
    expect(new Set(bound.map(([name]) => name)).size).toBe(bound.length);
  }
});
