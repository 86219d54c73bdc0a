import type { Vector } from '@humble/core';

const ARROWS: Readonly<Record<string, Vector>> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};
/** Field units of a nudge, and of one with Shift. */
const NUDGE = 1;
const FAR_NUDGE = 10;

export function nudgeOf({ key, shiftKey }: KeyboardEvent): Vector | null {
  const arrow = ARROWS[key];
  const size = shiftKey ? FAR_NUDGE : NUDGE;
  return arrow ? { x: arrow.x * size, y: arrow.y * size } : null;
}

const WORKED = new Set(['button', 'radio', 'switch', 'tab', 'link', 'checkbox']);

/** Whether a key is not meant for a control that has the focus. */
export const isOnPage = ({ target }: KeyboardEvent): boolean =>
  !WORKED.has((target as HTMLElement).getAttribute?.('role') ?? '');
