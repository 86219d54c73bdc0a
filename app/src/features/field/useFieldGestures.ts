import { useMemo } from 'react';
import { Gesture, PointerType } from 'react-native-gesture-handler';
import { useLatest } from '../../ui/useLatest';
import { createFieldHand } from './fieldHand';
import type { FieldContext } from './dragHandler';
import type { PointerTrail } from '../../ui/usePointerTrail';

/** One pan gesture with our own hit test, a pinch, and a hover. They outlive renders and read `live`. */
export function useFieldGestures(context: FieldContext, trail: PointerTrail) {
  const live = useLatest({ context, trail });
  return useMemo(() => {
    const hand = createFieldHand(live);
    const drag = Gesture.Pan()
      .runOnJS(true)
      .minDistance(0)
      .maxPointers(2)
      .onBegin(({ x, y, pointerType }) => hand.begin({ x, y }, pointerType === PointerType.TOUCH))
      .onUpdate(({ x, y, numberOfPointers }) => {
        if (numberOfPointers < 2) hand.update({ x, y });
      })
      .onFinalize(({ x, y }) => hand.end({ x, y }));
    const pinch = Gesture.Pinch()
      .runOnJS(true)
      .onStart(({ focalX, focalY }) => hand.pinchBegins({ x: focalX, y: focalY }))
      .onUpdate(({ scale, focalX, focalY }) => hand.pinches(scale, { x: focalX, y: focalY }))
      .onFinalize(() => hand.pinchEnds());
    const hover = Gesture.Hover()
      .runOnJS(true)
      .onUpdate(({ x, y }) => hand.hovers({ x, y }))
      .onEnd(() => hand.leaves());
    return Gesture.Simultaneous(drag, pinch, hover);
  }, [live]);
}
