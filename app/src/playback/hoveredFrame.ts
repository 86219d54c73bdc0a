import { useSyncExternalStore } from 'react';

/** The frame under the pointer in any view of the timing; null when it points at none. Never saved. */
let hovered: number | null = null;
const listeners = new Set<() => void>();

export function setHoveredFrame(frame: number | null): void {
  if (frame === hovered) return;
  hovered = frame;
  listeners.forEach((listener) => listener());
}

export const hoveredFrame = (): number | null => hovered;

export const subscribeHoveredFrame = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useHoveredFrame = (): number | null =>
  useSyncExternalStore(subscribeHoveredFrame, hoveredFrame, hoveredFrame);
