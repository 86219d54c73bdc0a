import { useLayoutEffect } from 'react';

/** A dialog was closed, and neither pointer nor Tab has gone elsewhere since. */
let hasReturned = false;

/**
 * Whether what has the focus has it only because a dialog that it opened was closed. Space is then meant for the page:
 * it would open the dialog once more. Enter still works it.
 */
export const isFocusReturned = (): boolean => hasReturned;

function forget(event: Event): void {
  if (event.type === 'keydown' && (event as KeyboardEvent).key !== 'Tab') return;
  hasReturned = false;
  for (const name of LEAVES) document.removeEventListener(name, forget, { capture: true });
}

const LEAVES = ['pointerdown', 'keydown'] as const;

/** Notices that a dialog closes. Web only. @param isOpen whether it is open */
export function useFocusReturn(isOpen: boolean): void {
  useLayoutEffect(() => {
    if (!isOpen || typeof document === 'undefined') return;
    return () => {
      hasReturned = true;
      for (const name of LEAVES) document.addEventListener(name, forget, { capture: true });
    };
  }, [isOpen]);
}
