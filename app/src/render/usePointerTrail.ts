import { type RefObject, useEffect, useState } from 'react';
import type { View } from 'react-native';

export interface TrailPoint {
  readonly x: number;
  readonly y: number;
  readonly at: number;
}

/** What gestures leave out: the keys held down, and where the pointer was between two events. */
export interface PointerTrail {
  readonly isShift: () => boolean;
  /** When the pointer last came down, by the event's own clock: a busy page may hear of it late. Milliseconds. */
  readonly pressedAt: () => number;
  /** Where the pointer has been since this was last asked, pixels of the view. */
  readonly take: () => readonly TrailPoint[];
}

export function usePointerTrail(view: RefObject<View | null>): PointerTrail {
  const [kept] = useState(() => {
    let isShift = false;
    let pressedAt = 0;
    let trail: TrailPoint[] = [];
    return {
      isShift: () => isShift,
      pressedAt: () => pressedAt,
      press: (at: number) => {
        pressedAt = at;
      },
      take: () => {
        const taken = trail;
        trail = [];
        return taken;
      },
      see: (shift: boolean, points: readonly TrailPoint[], isFresh: boolean) => {
        isShift = shift;
        trail = isFresh ? [...points] : [...trail, ...points];
      },
    };
  });
  useEffect(() => {
    const element = view.current as unknown as HTMLElement | null;
    if (typeof element?.addEventListener !== 'function') return;
    // Asking where the view lies costs a layout of the page; it does not move while something is held.
    let box = element.getBoundingClientRect();
    const seen = (event: PointerEvent): void => {
      if (event.type === 'pointerdown') {
        box = element.getBoundingClientRect();
        kept.press(event.timeStamp);
      }
      const together = event.getCoalescedEvents?.() ?? [];
      const points = (together.length > 0 ? together : [event]).map(({ clientX, clientY, timeStamp }) => ({
        x: clientX - box.left,
        y: clientY - box.top,
        at: timeStamp,
      }));
      kept.see(event.shiftKey, points, event.type === 'pointerdown');
    };
    // Before the gestures see it, so that they find what belongs to the event they tell of.
    const options = { capture: true };
    element.addEventListener('pointerdown', seen, options);
    element.addEventListener('pointermove', seen, options);
    return () => {
      element.removeEventListener('pointerdown', seen, options);
      element.removeEventListener('pointermove', seen, options);
    };
  }, [view, kept]);
  return kept;
}
