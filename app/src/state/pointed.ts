import { useSyncExternalStore } from 'react';

/** The frame under the pointer in any view of the timing; null when it points at none. Never saved. */
let pointed: number | null = null;
const listeners = new Set<() => void>();

export function pointAt(frame: number | null): void {
  if (frame === pointed) return;
  pointed = frame;
  listeners.forEach((listener) => listener());
}

export const pointedFrame = (): number | null => pointed;

export const subscribePointed = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const usePointed = (): number | null =>
  useSyncExternalStore(subscribePointed, pointedFrame, pointedFrame);
