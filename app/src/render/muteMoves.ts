const KINDS = ['mousemove', 'touchmove'] as const;

const stop = (event: Event): void => event.stopImmediatePropagation();

/**
 * While something is held only the pointer's own events count. The same movement is reported once more, as
 * the mouse's or the finger's, and every press and hover of the page would be asked about it: a tenth of
 * a frame on a slow machine, for nothing.
 */
export function muteMoves(isMuted: boolean): void {
  if (typeof document === 'undefined') return;
  for (const kind of KINDS)
    if (isMuted) window.addEventListener(kind, stop, { capture: true, passive: true });
    else window.removeEventListener(kind, stop, { capture: true });
}
