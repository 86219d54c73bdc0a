import { type Arc, type ArcPoint, handlePlace, measureArc } from '@humble/core';
import { memo } from 'react';
import { Circle, G, Line, Rect } from 'react-native-svg';
import { colour } from '../../ui/colour';
import type { Target } from './hitTest';

interface PointsLayerProps {
  readonly arc: Arc;
  readonly pixel: number;
  readonly selectedPointId: string | null;
  readonly hovered: Target | null;
}

const HALF_PX = 4.5;

/** Direction of the arc at each of its points, degrees. */
function directions(arc: Arc): number[] {
  const { stretches } = measureArc(arc);
  return arc.points.map((_, i) => {
    const leaving = stretches[i];
    if (leaving) return leaving.headingDeg[0] ?? 0;
    const arriving = stretches[i - 1]?.headingDeg;
    return arriving?.[arriving.length - 1] ?? 0;
  });
}

function Handles({ point, pixel, hovered }: { point: ArcPoint; pixel: number; hovered: Target | null }) {
  return (['in', 'out'] as const).map((side) => {
    const handle = point[side];
    if (handle.x === 0 && handle.y === 0) return null;
    const end = handlePlace(point, side);
    const isHovered = hovered?.kind === 'handle' && hovered.side === side;
    return (
      <G key={side}>
        <Line
          x1={point.x}
          y1={point.y}
          x2={end.x}
          y2={end.y}
          stroke={colour.field}
          strokeWidth={3.5 * pixel}
        />
        <Line
          x1={point.x}
          y1={point.y}
          x2={end.x}
          y2={end.y}
          stroke={colour.brass}
          strokeWidth={1.25 * pixel}
        />
        <Circle
          cx={end.x}
          cy={end.y}
          r={(isHovered ? 7 : 5) * pixel}
          fill={colour.brass}
          stroke={colour.field}
          strokeWidth={1.5 * pixel}
        />
      </G>
    );
  });
}

/** Points of the arc: small squares in line with it, corners turned by 45°; the selected one has its handles. */
export const PointsLayer = memo(function PointsLayer({
  arc,
  pixel,
  selectedPointId,
  hovered,
}: PointsLayerProps) {
  const turned = directions(arc);
  const selected = arc.points.find((point) => point.id === selectedPointId);
  return (
    <G>
      {selected && <Handles point={selected} pixel={pixel} hovered={hovered} />}
      {arc.points.map((point, i) => {
        const isSelected = point.id === selectedPointId;
        const isHovered = hovered?.kind === 'point' && hovered.pointId === point.id;
        const half = (isHovered ? HALF_PX + 2 : HALF_PX) * pixel;
        return (
          <Rect
            key={point.id}
            testID={`point-${point.id}`}
            x={-half}
            y={-half}
            width={2 * half}
            height={2 * half}
            transform={`translate(${point.x} ${point.y}) rotate(${turned[i]! + (point.kind === 'corner' ? 45 : 0)})`}
            fill={isSelected ? colour.brass : colour.field}
            stroke={isSelected || isHovered ? colour.brass : colour.indigo}
            strokeWidth={1.75 * pixel}
          />
        );
      })}
    </G>
  );
});
