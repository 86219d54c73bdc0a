import { type RefObject, useEffect } from 'react';
import type { View } from 'react-native';
import { useLatest } from './useLatest';

/** Zoom factor of one notch of a mouse wheel (100 units). */
const NOTCH = 1.15;

/** Calls back with the pointer's place and a zoom factor when the wheel turns over a view; null for none. Web only. */
export function useWheel(
  view: RefObject<View | null> | null,
  onZoom: (at: { readonly x: number; readonly y: number }, factor: number) => void,
): void {
  const latest = useLatest(onZoom);
  useEffect(() => {
    const element = view?.current as unknown as HTMLElement | null;
    if (typeof element?.addEventListener !== 'function') return;
    const turned = (event: WheelEvent): void => {
      event.preventDefault();
      const box = element.getBoundingClientRect();
      latest()({ x: event.clientX - box.left, y: event.clientY - box.top }, NOTCH ** (-event.deltaY / 100));
    };
    element.addEventListener('wheel', turned, { passive: false });
    return () => element.removeEventListener('wheel', turned);
  }, [view, latest]);
}
