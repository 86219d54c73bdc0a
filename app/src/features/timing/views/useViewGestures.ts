import { type RefObject, useMemo } from 'react';
import type { View } from 'react-native';
import { Gesture, PointerType } from 'react-native-gesture-handler';
import { throttledStoreOf } from '../../../state/throttledStore';
import { useAppStore } from '../../../state/hooks';
import { beginInteraction, type LiveView, endInteraction } from '../../../state/live';
import type { AppStore } from '../../../state/store';
import { useLatest } from '../../../ui/useLatest';
import { type PointerTrail, usePointerTrail } from '../../../ui/usePointerTrail';

/** Where a pointer is on a view, and how it is held. */
export interface ViewPointer {
  /** Pixels of the view. */
  readonly x: number;
  readonly y: number;
  readonly isShift: boolean;
  readonly isTouch: boolean;
}

/** What is held from a press on. */
export interface ViewDragHandler {
  readonly drag?: (now: ViewPointer) => void;
  /** The press ended where it began. */
  readonly tap?: (now: ViewPointer) => void;
}

/** What a view of the timing does with a hand. */
export interface ViewHand {
  readonly take: (start: ViewPointer) => ViewDragHandler;
  readonly hovers?: (now: { readonly x: number; readonly y: number } | null) => void;
  /** Two fingers. @param factor since the pinch began; @param by how far their middle has moved, pixels */
  readonly pinches?: (
    factor: number,
    by: { readonly x: number; readonly y: number },
    at: { readonly x: number; readonly y: number },
    isFirst: boolean,
  ) => void;
}

/** A press that moves less than this is a tap, pixels. */
const TAP_PX = 5;

interface ViewHandNow {
  readonly hand: ViewHand;
  readonly trail: PointerTrail;
}

/** A hand on a view, from press to release. Pixels of the view. */
function createHand(name: LiveView, store: AppStore, live: () => ViewHandNow) {
  const throttled = throttledStoreOf(store);
  let hold: ViewDragHandler | null = null;
  let start = { x: 0, y: 0 };
  let focal = { x: 0, y: 0 };
  let hasMoved = false;
  let isTouch = false;
  let isPinching = false;
  const pointer = (x: number, y: number): ViewPointer => {
    live().trail.take();
    return { x, y, isTouch, isShift: live().trail.isShift() };
  };
  return {
    begin: (x: number, y: number, byTouch: boolean): void => {
      isTouch = byTouch;
      hasMoved = false;
      start = { x, y };
      hold = live().hand.take(pointer(x, y));
      throttled.begin();
      beginInteraction(name);
    },
    update: (x: number, y: number): void => {
      if (!hold || isPinching) return;
      if (!hasMoved && Math.hypot(x - start.x, y - start.y) < TAP_PX) return;
      hasMoved = true;
      hold.drag?.(pointer(x, y));
    },
    end: (x: number, y: number): void => {
      if (hold && !hasMoved && !isPinching) hold.tap?.(pointer(x, y));
      hold = null;
      throttled.end();
      endInteraction();
    },
    pinchBegins: (x: number, y: number): void => {
      isPinching = true;
      focal = { x, y };
      live().hand.pinches?.(1, { x: 0, y: 0 }, focal, true);
    },
    pinches: (factor: number, x: number, y: number): void => {
      live().hand.pinches?.(factor, { x: x - focal.x, y: y - focal.y }, focal, false);
    },
    pinchEnds: (): void => {
      isPinching = false;
    },
    hovers: (at: { readonly x: number; readonly y: number } | null): void => {
      if (!hold) live().hand.hovers?.(at);
    },
  };
}

// The callbacks of gestures are compiled with copies of what they close over, so all that changes lives in the hand.
function viewGestures(name: LiveView, store: AppStore, live: () => ViewHandNow) {
  const hand = createHand(name, store, live);
  const drag = Gesture.Pan()
    .runOnJS(true)
    .minDistance(0)
    .maxPointers(2)
    .onBegin(({ x, y, pointerType }) => hand.begin(x, y, pointerType === PointerType.TOUCH))
    .onUpdate(({ x, y, numberOfPointers }) => {
      if (numberOfPointers < 2) hand.update(x, y);
    })
    .onFinalize(({ x, y }) => hand.end(x, y));
  const pinch = Gesture.Pinch()
    .runOnJS(true)
    .onStart(({ focalX, focalY }) => hand.pinchBegins(focalX, focalY))
    .onUpdate(({ scale, focalX, focalY }) => hand.pinches(scale, focalX, focalY))
    .onFinalize(() => hand.pinchEnds());
  const hover = Gesture.Hover()
    .runOnJS(true)
    .onUpdate(({ x, y }) => hand.hovers({ x, y }))
    .onEnd(() => hand.hovers(null));
  return Gesture.Simultaneous(drag, pinch, hover);
}

/** Drag, pinch and hover on a view of the timing, which outlive its renders. */
export function useViewGestures(name: LiveView, view: RefObject<View | null>, hand: ViewHand) {
  const store = useAppStore();
  const trail = usePointerTrail(view);
  const live = useLatest({ hand, trail });
  return useMemo(() => viewGestures(name, store, live), [name, store, live]);
}
