import { useSyncExternalStore } from 'react';

/** A window that is covered by more than this has a keyboard over it, pixels. */
const KEYBOARD_PX = 150;

const viewport = (): VisualViewport | null =>
  typeof window === 'undefined' ? null : (window.visualViewport ?? null);

function follow(onChange: () => void): () => void {
  const seen = viewport();
  seen?.addEventListener('resize', onChange);
  return () => seen?.removeEventListener('resize', onChange);
}

function room(): number | null {
  const seen = viewport();
  return seen && window.innerHeight - seen.height > KEYBOARD_PX ? Math.round(seen.height) : null;
}

/** The height above the system's keyboard, pixels; null while it is not up. */
export const useKeyboardRoom = (): number | null => useSyncExternalStore(follow, room, () => null);
