import { createExternalStore, useExternalStore } from '../../ui/externalStore';

/** Whether the last picture is held over the live one. */
const isHeld = createExternalStore(false);

export const useIsFlipped = (): boolean => useExternalStore(isHeld);

export const setFlipped = (held: boolean): void => isHeld.set(held);

/** Shows the last picture for as long as the key that was pressed is down. */
export function flipLive(): void {
  isHeld.set(true);
  const end = (): void => {
    isHeld.set(false);
    document.removeEventListener('keyup', end);
    window.removeEventListener('blur', end);
  };
  document.addEventListener('keyup', end);
  window.addEventListener('blur', end);
}
