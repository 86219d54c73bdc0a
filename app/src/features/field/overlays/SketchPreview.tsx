import type { PointShape } from '@humble/core';
import { useState } from 'react';
import { G } from 'react-native-svg';
import { selectSketchedShape } from '../../../commands/sketch';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { polyline, pathThrough } from './shapes';
import { lruMemoize } from '@reduxjs/toolkit';
import { useThrottledEditor } from '../../../store/throttled/hooks';

export function SketchPreview() {
  const pixel = usePixel();
  const hasSketch = useThrottledEditor(({ sketch }) => sketch !== null && sketch.undoGroup === null);
  const [shape] = useState(() =>
    lruMemoize((points: readonly PointShape[] | null, closed: boolean, size: number) => ({
      line: points ? pathThrough(points, closed) : '',
      dots: dots(points ?? [], size),
    })),
  );
  if (!hasSketch) return null;
  const stroke = ({ editor }: RootState): string => polyline(editor.sketch?.samples ?? []);
  const wanted = (state: RootState) => {
    const drawn = selectSketchedShape(state);
    return shape(drawn?.points ?? null, drawn?.closed ?? false, pixel);
  };
  const line = (state: RootState): string => wanted(state).line;
  return (
    <G>
      <LivePath path={stroke} fill="none" stroke={colour.soft} strokeWidth={5 * pixel} opacity={0.25} />
      <LivePath path={line} fill="none" stroke={colour.field} strokeWidth={5 * pixel} />
      <LivePath
        path={line}
        testID="sketch"
        fill="none"
        stroke={colour.brass}
        strokeWidth={2.25 * pixel}
        strokeLinecap="round"
      />
      <LivePath path={(state) => wanted(state).dots} fill={colour.brass} />
    </G>
  );
}

function dots(points: readonly PointShape[], pixel: number): string {
  const half = 3 * pixel;
  return points.map(({ x, y }) => `M${x - half} ${y - half}h${2 * half}v${2 * half}h${-2 * half}z`).join('');
}
