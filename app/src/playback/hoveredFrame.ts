import { createExternalStore, useExternalStore } from '../ui/externalStore';

/** The frame under the pointer in any view of the timing; null when it points at none. Never saved. */
const hovered = createExternalStore<number | null>(null);

export const setHoveredFrame = hovered.set;
export const useHoveredFrame = (): number | null => useExternalStore(hovered);
