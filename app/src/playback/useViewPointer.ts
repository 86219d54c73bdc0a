import { type RefObject, useMemo } from 'react';
import type { View } from 'react-native';
import type { LiveView } from '../render/frameScheduler';
import type { PointerSurface } from '../render/pointerSession';
import { usePointerSession } from '../render/usePointerSession';
import { useAppStore } from '../store/hooks';
import { heldSourcesOf } from './heldSources';

/** `usePointerSession` on a view of the shot: while something is held, panels follow it now and then only. */
export function useViewPointer<Pointer>(
  element: RefObject<View | null>,
  liveView: LiveView | null,
  surface: PointerSurface<Pointer>,
) {
  const store = useAppStore();
  const held = useMemo(() => heldSourcesOf(store), [store]);
  return usePointerSession(element, liveView, held, surface);
}
