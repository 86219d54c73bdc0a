import { selectEdits } from '../../../store/selectors/selection';
import type { Gesture } from '@humble/core';
import { memo, useState } from 'react';
import { selectActiveGesture } from '../../../commands/acting';
import { useSettings } from '../../../store/hooks';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { colour } from '../../../ui/colour';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledSelector } from '../../../store/throttled/hooks';

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

export const HandPath = memo(function HandPath() {
  const pixel = usePixel();
  const isPosing = useThrottledSelector(selectEdits) === 'poses';
  const { showsGesture } = useSettings();
  const [path] = useState(() => lruMemoize(handPath));
  if (!isPosing || !showsGesture) return null;
  return (
    <LivePath
      path={(state) => {
        const gesture = selectActiveGesture(state);
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
