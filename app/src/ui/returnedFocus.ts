import { useEffect } from 'react';

/** What got the focus back when a dialog closed; null once the focus has gone elsewhere. */
let returnedTo: Element | null = null;

/**
 * Whether something has the focus only because a dialog that it opened was closed. Space is then meant for the page:
 * it would open the dialog once more. Enter still works it. Web only.
 */
export const hasReturnedFocus = (element: EventTarget | null): boolean =>
  element !== null && element === returnedTo;

function noticeReturn(): void {
  const element = document.activeElement;
  if (!element || element === document.body) return;
  returnedTo = element;
  element.addEventListener('blur', () => (returnedTo = null), { once: true });
}

/** Remembers what the focus goes back to when a dialog closes. @param isOpen whether the dialog is open */
export function useFocusReturn(isOpen: boolean): void {
  useEffect(() => {
    if (!isOpen || typeof document === 'undefined') return;
    // The focus goes back after the dialog is gone.
    return () => void setTimeout(noticeReturn, 0);
  }, [isOpen]);
}
