import { createExternalStore, useExternalStore } from './externalStore';
import type { MenuItem } from './Menu';

export interface ContextMenu {
  readonly title: string;
  readonly items: readonly MenuItem[];
}

interface OpenMenu extends ContextMenu {
  /** Where it was asked for, pixels of the window. */
  readonly at: { readonly x: number; readonly y: number };
}

const open = createExternalStore<OpenMenu | null>(null);

/**
 * Shows a menu; one without items is not shown.
 * @param at pixels of the window
 * @param isHeld whether a finger that asked for it still lies on the glass
 */
export function openContextMenu(menu: ContextMenu, at: OpenMenu['at'], isHeld: boolean): void {
  if (menu.items.length === 0) return;
  if (isHeld) ignoreRelease();
  open.set({ ...menu, at });
}

function ignoreRelease(): void {
  if (typeof document === 'undefined') return;
  const capture = { capture: true };
  const ignore = (event: Event): void => {
    if ((event as PointerEvent).pointerType === 'mouse') return;
    event.stopPropagation();
    event.preventDefault();
  };
  const lifted = (): void => {
    for (const name of RELEASES) document.removeEventListener(name, lifted, capture);
    // The click comes after the release.
    setTimeout(() => document.removeEventListener('click', ignore, capture), CLICK_AFTER_MS);
  };
  document.addEventListener('click', ignore, capture);
  for (const name of RELEASES) document.addEventListener(name, lifted, capture);
}

const RELEASES = ['pointerup', 'pointercancel'] as const;
const CLICK_AFTER_MS = 300;

export const closeContextMenu = (): void => open.set(null);

export const useOpenContextMenu = (): OpenMenu | null => useExternalStore(open);
