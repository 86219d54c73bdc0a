import { renderHook } from '@testing-library/react-native';
import { act } from 'react';
import { createExternalStore, useExternalStore } from './externalStore';

test('listeners hear of changes only, and one that subscribed twice leaves once', () => {
  const store = createExternalStore({ frame: 1 }, { isEqual: (a, b) => a.frame === b.frame });
  const heard = jest.fn();
  const [first, second] = [store.subscribe(heard), store.subscribe(heard)];
  store.set({ frame: 1 });
  expect(heard).not.toHaveBeenCalled();
  first();
  store.set({ frame: 2 });
  expect(heard).toHaveBeenCalledTimes(1);
  second();
  store.set({ frame: 3 });
  expect(heard).toHaveBeenCalledTimes(1);
  expect(store.get()).toEqual({ frame: 3 });
});

test('one that notifies with the next picture does so once', () => {
  const requests: FrameRequestCallback[] = [];
  const frame = jest
    .spyOn(globalThis, 'requestAnimationFrame')
    .mockImplementation((run) => requests.push(run));
  const store = createExternalStore(0, { notifiesOncePerFrame: true });
  const heard = jest.fn();
  store.subscribe(heard);
  store.set(1);
  store.set(2);
  expect(requests).toHaveLength(1);
  requests[0]!(0);
  expect(heard).toHaveBeenCalledTimes(1);
  store.set(3);
  expect(requests).toHaveLength(2);
  frame.mockRestore();
});

test('a component renders again only when what it picks changes', () => {
  const store = createExternalStore({ frame: 1, lap: 0 });
  let renders = 0;
  const { result } = renderHook(() => {
    renders++;
    return useExternalStore(store, ({ frame }) => frame);
  });
  act(() => store.set({ frame: 1, lap: 1 }));
  expect([result.current, renders]).toEqual([1, 1]);
  act(() => store.set({ frame: 5, lap: 1 }));
  expect([result.current, renders]).toEqual([5, 2]);
});
