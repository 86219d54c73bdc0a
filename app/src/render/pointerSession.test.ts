import { act, renderHook } from '@testing-library/react-native';
import { closeContextMenu, useOpenContextMenu } from '../ui/contextMenu';
import { createPointerSession, type PressHandler, type ViewPointer } from './pointerSession';

const ITEM = { label: 'Remove', icon: (() => null) as never, onPress: () => undefined };

/** A session whose surface has a menu everywhere, and what became of its presses. */
function session(handler: PressHandler<ViewPointer> = {}, hasMenu = true) {
  const held = { begin: () => undefined, end: () => undefined };
  const done: string[] = [];
  const made = createPointerSession<ViewPointer>({
    held,
    view: null,
    inWindow: ({ x, y }) => ({ x: x + 100, y: y + 200 }),
    trail: () => ({ isShift: () => false, take: () => [], pressedAt: () => 0 }),
    surface: () => ({
      pointer: (raw) => raw,
      press: () => ({
        tap: () => void done.push('tap'),
        drag: () => void done.push('drag'),
        cancel: () => void done.push('cancel'),
        ...handler,
      }),
      menu: () => (hasMenu ? { title: 'There', items: [ITEM] } : null),
    }),
  });
  const { result } = renderHook(() => useOpenContextMenu());
  return { made, done, menu: () => result.current };
}

const wait = (ms: number): void => act(() => jest.advanceTimersByTime(ms));

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  act(() => closeContextMenu());
  jest.useRealTimers();
});

test('a finger that rests opens the menu of what lies there, and its release does nothing more', () => {
  const { made, done, menu } = session();
  made.begin({ x: 10, y: 20 }, true);
  wait(499);
  expect(menu()).toBeNull();
  wait(2);
  expect(menu()).toMatchObject({ title: 'There', at: { x: 110, y: 220 } });
  made.update({ x: 60, y: 60 });
  made.end({ x: 60, y: 60 });
  expect(done).toEqual(['cancel']);
});

test('a finger that moves, lifts or is joined by another opens none', () => {
  const moved = session();
  moved.made.begin({ x: 10, y: 20 }, true);
  moved.made.update({ x: 12, y: 21 });
  moved.made.update({ x: 17, y: 21 });
  wait(1000);
  expect(moved.menu()).toBeNull();
  const lifted = session();
  lifted.made.begin({ x: 10, y: 20 }, true);
  lifted.made.end({ x: 10, y: 20 });
  wait(1000);
  expect([lifted.menu(), lifted.done]).toEqual([null, ['tap']]);
  const pinched = session();
  pinched.made.begin({ x: 10, y: 20 }, true);
  pinched.made.pinchBegins({ x: 30, y: 20 });
  wait(1000);
  expect(pinched.menu()).toBeNull();
});

test('where there is no menu a long press stays a press', () => {
  const { made, done, menu } = session({}, false);
  made.begin({ x: 10, y: 20 }, true);
  wait(1000);
  made.end({ x: 10, y: 20 });
  expect([menu(), done]).toEqual([null, ['tap']]);
});

test('a mouse has its right button: resting asks for nothing, and nothing opens while something is held', () => {
  const { made, menu } = session();
  made.begin({ x: 10, y: 20 }, false);
  wait(1000);
  act(() => made.menuAsked({ x: 10, y: 20 }));
  expect(menu()).toBeNull();
  made.end({ x: 10, y: 20 });
  act(() => made.menuAsked({ x: 10, y: 20 }));
  expect(menu()?.title).toBe('There');
});
