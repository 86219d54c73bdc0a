import { type RefObject, useEffect, useMemo } from 'react';
import type { View } from 'react-native';
import { Gesture, PointerType } from 'react-native-gesture-handler';
import { useLatest } from '../ui/useLatest';
import type { LiveView } from './frameScheduler';
import {
  createPointerSession,
  type HeldSources,
  type PointerSession,
  type PointerSurface,
} from './pointerSession';
import { usePointerTrail } from './usePointerTrail';

// The callbacks of gestures are compiled with copies of what they close over, so all that changes lives in the session.
function gesturesOf(session: PointerSession) {
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .maxPointers(2)
    .onBegin(({ x, y, pointerType }) => session.begin({ x, y }, pointerType === PointerType.TOUCH))
    .onUpdate(({ x, y, numberOfPointers }) => {
      if (numberOfPointers < 2) session.update({ x, y });
    })
    .onFinalize(({ x, y }) => session.end({ x, y }));
  const pinch = Gesture.Pinch()
    .runOnJS(true)
    .onStart(({ focalX, focalY }) => session.pinchBegins({ x: focalX, y: focalY }))
    .onUpdate(({ scale, focalX, focalY }) => session.pinch(scale, { x: focalX, y: focalY }))
    .onFinalize(() => session.pinchEnds());
  const hover = Gesture.Hover()
    .runOnJS(true)
    .onUpdate(({ x, y }) => session.hover({ x, y }))
    .onEnd(() => session.hover(null));
  return Gesture.Simultaneous(drag, pinch, hover);
}

/**
 * Press, drag, tap, double tap, pinch and hover on a view, for a `GestureDetector`. The session outlives renders.
 * @param element the view that the detector wraps
 * @param liveView see `createPointerSession`
 * @param held the same between renders
 */
export function usePointerSession<Pointer>(
  element: RefObject<View | null>,
  liveView: LiveView | null,
  held: HeldSources,
  surface: PointerSurface<Pointer>,
) {
  const trail = usePointerTrail(element);
  const latest = useLatest({ surface, trail });
  const session = useMemo(
    () =>
      createPointerSession<Pointer>({
        held,
        view: liveView,
        surface: () => latest().surface,
        trail: () => latest().trail,
        inWindow: ({ x, y }) => {
          const { left, top } = elementOf(element)?.getBoundingClientRect?.() ?? { left: 0, top: 0 };
          return { x: left + x, y: top + y };
        },
      }),
    [held, liveView, latest, element],
  );
  useMenuButton(element, session);
  useOwnTouches(element);
  return useMemo(() => gesturesOf(session), [session]);
}

const elementOf = (view: RefObject<View | null>): HTMLElement | null =>
  view.current as unknown as HTMLElement | null;

const nothing = (): void => undefined;

/**
 * A browser gives a finger that comes down beside a button to the button, unless what lies beneath it listens for
 * clicks, too. Web only.
 */
function useOwnTouches(view: RefObject<View | null>): void {
  useEffect(() => {
    const element = elementOf(view);
    if (typeof element?.addEventListener !== 'function') return;
    element.addEventListener('click', nothing);
    return () => element.removeEventListener('click', nothing);
  }, [view]);
}

/** The right button and the key for menus, in place of the browser's own menu. Web only. */
function useMenuButton(view: RefObject<View | null>, session: PointerSession): void {
  useEffect(() => {
    const element = elementOf(view);
    if (typeof element?.addEventListener !== 'function') return;
    const asked = (event: MouseEvent): void => {
      event.preventDefault();
      // A finger that rests is told by the session, in every browser.
      if ((event as PointerEvent).pointerType === 'touch') return;
      const box = element.getBoundingClientRect();
      session.menuAsked({ x: event.clientX - box.left, y: event.clientY - box.top });
    };
    element.addEventListener('contextmenu', asked);
    return () => element.removeEventListener('contextmenu', asked);
  }, [view, session]);
}
