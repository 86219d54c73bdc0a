import { type SlipRow, slips } from '@humble/core';
import { memo, useState } from 'react';
import { G } from 'react-native-svg';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { selectActiveTravel, selectEdits } from '../../../store/selectors/selection';
import { colour } from '../../../ui/colour';
import { circlePath } from '../../../ui/circlePath';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledSelector } from '../../../store/throttled/hooks';

const DOT_PX = 2.5;

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
    (state) => selectEdits(state) === 'poses' && state.settings.groupInFront.figure === 'drawings',
  );
  const [path] = useState(() => lruMemoize(trackPath));
  if (!isSeen) return null;
  const d = (state: Parameters<typeof selectActiveTravel>[0]): string => {
    const travel = selectActiveTravel(state);
    return travel && !travel.arc.hidden ? path(slips(travel).rows, pixel) : '';
  };
  return (
    <G>
      <LivePath path={d} fill="none" stroke={colour.field} strokeWidth={4 * pixel} />
      <LivePath path={d} fill="none" stroke={colour.plum} strokeWidth={1.75 * pixel} testID="slip-track" />
    </G>
  );
});
