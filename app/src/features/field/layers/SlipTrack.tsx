import { type SlipRow, slips } from '@humble/core';
import { memo, useState } from 'react';
import { G } from 'react-native-svg';
import { LivePath, usePixel } from '../../../render/livePaths';
import { memoizeLast } from '../../../render/memoizeLast';
import { useThrottledSelector } from '../../../store/hooks';
import { activeTravelIn, editsIn } from '../../../store/selection';
import { colour } from '../../../ui/colour';
import { circlePath } from '../overlays/shapes';

const DOT_PX = 2.5;

/** The planted spots, and lines from one to the next while they stay planted. */
function trackPath(rows: readonly SlipRow[], pixel: number): string {
  const r = DOT_PX * pixel;
  let d = '';
  rows.forEach(({ spot, slip }, i) => {
    if (!spot) return;
    const [x, y] = [spot.x, spot.y];
    const before = rows[i - 1]?.spot;
    if (slip !== null && before)
      d += `M${before.x.toFixed(2)} ${before.y.toFixed(2)}L${x.toFixed(2)} ${y.toFixed(2)}`;
    d += circlePath(spot, r);
  });
  return d;
}

/** Where the planted spot is on each exposure, while cycles are worked on: spots that lie on one another do not slip. */
export const SlipTrack = memo(function SlipTrack() {
  const pixel = usePixel();
  const isSeen = useThrottledSelector(
    (state) => editsIn(state) === 'poses' && state.settings.groupInFront.figure === 'cycle',
  );
  const [path] = useState(() => memoizeLast(trackPath));
  if (!isSeen) return null;
  const d = (state: Parameters<typeof activeTravelIn>[0]): string => {
    const travel = activeTravelIn(state);
    return travel && !travel.arc.hidden ? path(slips(travel).rows, pixel) : '';
  };
  return (
    <G>
      <LivePath path={d} fill="none" stroke={colour.field} strokeWidth={4 * pixel} />
      <LivePath path={d} fill="none" stroke={colour.plum} strokeWidth={1.75 * pixel} testID="slip-track" />
    </G>
  );
});
