import { type RefObject, useMemo } from 'react';
import type { View } from 'react-native';
import { Gesture, PointerType } from 'react-native-gesture-handler';
import { calmStoreOf } from '../../../state/calmStore';
import { useAppStore } from '../../../state/hooks';
import { useLive } from '../../../ui/useLive';
import { usePointerTrail } from '../../../ui/usePointerTrail';

/** Where a pointer is on a view, and how it is held. */
export interface ViewPointer {
  /** Pixels of the view. */
  readonly x: number;
  readonly y: number;
  readonly isShift: boolean;
  readonly isTouch: boolean;
}

/** What is held from a press on. */
export interface ViewHold {
  readonly drag?: (now: ViewPointer) => void;
  /** The press ended where it began. */
  readonly tap?: (now: ViewPointer) => void;
}

/** What a view of the timing does with a hand. */
export interface ViewHand {
  readonly take: (start: ViewPointer) => ViewHold;
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

/** Drag, pinch and hover on a view of the timing, which outlive its renders. */
export function useViewGestures(view: RefObject<View | null>, hand: ViewHand) {
  const store = useAppStore();
  const trail = usePointerTrail(view);
  const live = useLive({ hand, trail });
  return useMemo(() => {
    const calm = calmStoreOf(store);
    let hold: ViewHold | null = null;
    let start = { x: 0, y: 0 };
    let focal = { x: 0, y: 0 };
    let hasMoved = false;
    let isTouch = false;
    let isPinching = false;
    const pointer = (x: number, y: number): ViewPointer => {
      live().trail.take();
      return { x, y, isTouch, isShift: live().trail.isShift() };
    };
    const drag = Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .maxPointers(2)
      .onBegin(({ x, y, pointerType }) => {
        isTouch = pointerType === PointerType.TOUCH;
        hasMoved = false;
        start = { x, y };
        hold = live().hand.take(pointer(x, y));
        calm.hold();
      })
      .onUpdate(({ x, y, numberOfPointers }) => {
        if (!hold || isPinching || numberOfPointers > 1) return;
        if (!hasMoved && Math.hypot(x - start.x, y - start.y) < TAP_PX) return;
        hasMoved = true;
        hold.drag?.(pointer(x, y));
      })
      .onFinalize(({ x, y }) => {
        if (hold && !hasMoved && !isPinching) hold.tap?.(pointer(x, y));
        hold = null;
        calm.release();
      });
    const pinch = Gesture.Pinch()
      .runOnJS(true)
      .onStart(({ focalX, focalY }) => {
        isPinching = true;
        focal = { x: focalX, y: focalY };
        live().hand.pinches?.(1, { x: 0, y: 0 }, focal, true);
      })
      .onUpdate(({ scale, focalX, focalY }) =>
        live().hand.pinches?.(scale, { x: focalX - focal.x, y: focalY - focal.y }, focal, false),
      )
      .onFinalize(() => {
        isPinching = false;
      });
    const hover = Gesture.Hover()
      .runOnJS(true)
      .onUpdate(({ x, y }) => {
        if (!hold) live().hand.hovers?.({ x, y });
      })
      .onEnd(() => live().hand.hovers?.(null));
    return Gesture.Simultaneous(drag, pinch, hover);
  }, [store, live]);
}
