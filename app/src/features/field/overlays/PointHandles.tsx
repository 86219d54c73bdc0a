import { handlePoint } from '@humble/core';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { usePointerScene } from '../pointerScene';
import { selectPoint } from '../layers/pointShapes';
import { circlePath } from '../../../ui/circlePath';
import { useThrottledSelector } from '../../../store/throttled/hooks';

export const SIDES = ['in', 'out'] as const;

export function Handles({ pointId }: { readonly pointId: string }) {
  const pixel = usePixel();
  const stems = (state: RootState): string => {
    const point = selectPoint(state, pointId);
    if (!point) return '';
    return SIDES.map((side) => {
      const end = handlePoint(point, side);
      return `M${point.x} ${point.y}L${end.x} ${end.y}`;
    }).join('');
  };
  const sides = useThrottledSelector((state) => {
    const point = selectPoint(state, pointId);
    return point ? SIDES.filter((side) => point[side].x !== 0 || point[side].y !== 0) : [];
  }, shallowEqual);
  return (
    <G>
      <LivePath path={stems} stroke={colour.field} strokeWidth={3.5 * pixel} />
      <LivePath path={stems} stroke={colour.brass} strokeWidth={1.25 * pixel} />
      {sides.map((side) => (
        <HandleEnd key={side} pointId={pointId} side={side} />
      ))}
    </G>
  );
}

function HandleEnd({ pointId, side }: { readonly pointId: string; readonly side: 'in' | 'out' }) {
  const pixel = usePixel();
  const isHovered = usePointerScene(({ hovered }) => hovered?.kind === 'handle' && hovered.side === side);
  const dot = (state: RootState): string => {
    const point = selectPoint(state, pointId);
    return point ? circlePath(handlePoint(point, side), (isHovered ? 7 : 5) * pixel) : '';
  };
  return (
    <LivePath
      path={dot}
      fill={colour.brass}
      stroke={colour.field}
      strokeWidth={1.5 * pixel}
      testID={`handle-${side}`}
    />
  );
}
