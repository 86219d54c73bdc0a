import { editsIn } from '../../../store/selection';
import type { Gesture } from '@humble/core';
import { memo, useState } from 'react';
import { activeGestureIn } from '../../../commands/acting';
import { useSettings, useThrottledSelector } from '../../../store/hooks';
import { LivePath, usePixel } from '../../../render/livePaths';
import { memoizeLast } from '../../../render/memoizeLast';
import { colour } from '../../../ui/colour';

/** Places of a gesture nearer than this are one, pixels. */
const APART_PX = 1.5;

function handPath({ x, y }: Gesture, pixel: number): string {
  let [lastX, lastY] = [Infinity, Infinity];
  let d = '';
  for (let i = 0; i < x.length; i++) {
    if (Math.abs(x[i]! - lastX) + Math.abs(y[i]! - lastY) < APART_PX * pixel) continue;
    [lastX, lastY] = [x[i]!, y[i]!];
    d += `${d ? 'L' : 'M'}${lastX} ${lastY}`;
  }
  return d;
}

/** The recorded gesture beneath the arc it became, in the Figure step. */
export const HandPath = memo(function HandPath() {
  const pixel = usePixel();
  const isPosing = useThrottledSelector(editsIn) === 'poses';
  const { showsGesture } = useSettings();
  const [path] = useState(() => memoizeLast(handPath));
  if (!isPosing || !showsGesture) return null;
  return (
    <LivePath
      path={(state) => {
        const gesture = activeGestureIn(state);
        return gesture ? path(gesture, pixel) : '';
      }}
      fill="none"
      stroke={colour.persimmon}
      strokeOpacity={0.3}
      strokeWidth={9 * pixel}
      strokeLinejoin="round"
      testID="gesture-trail"
    />
  );
});
