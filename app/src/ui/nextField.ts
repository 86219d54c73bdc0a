/** Whether one touches the screen here: then what takes the focus brings the keyboard with it. */
export const isTouch = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(pointer: coarse)').matches;

/** From a field of a dialog on to the next one. Web only. @returns whether there was one */
export function goToNextField(): boolean {
  if (typeof document === 'undefined') return false;
  const now = document.activeElement;
  const all = [...(now?.closest('[role=dialog]')?.querySelectorAll<HTMLElement>('input') ?? [])];
  const next = now ? all[all.indexOf(now as HTMLElement) + 1] : undefined;
  next?.focus();
  return next !== undefined;
}
