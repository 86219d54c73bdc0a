import { evaluate, type Vector } from '@humble/core';
import { memo } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import { activeArcOf, useSession, useSettings, useShot } from '../../state/hooks';
import { colour } from '../../ui/colour';
import { FigureAtPlayhead, Ghosts } from './Figures';
import type { Target } from './hitTest';
import { FieldPaper, Guides, Marks } from './layers';
import { PointsLayer } from './PointsLayer';
import type { Projection } from './viewport';

const strokePath = (places: readonly Vector[]): string =>
  places.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

interface FieldDrawingProps {
  readonly size: { readonly width: number; readonly height: number };
  readonly projection: Projection;
  readonly hovered: Target | null;
  /** The stroke that is being drawn; empty when none is. */
  readonly stroke: readonly Vector[];
}

/** What is to be seen in the field. The only part of it that follows the shot. */
export const FieldDrawing = memo(function FieldDrawing({
  size,
  projection,
  hovered,
  stroke,
}: FieldDrawingProps) {
  const shot = useShot();
  const step = useSession((session) => session.step);
  const selectedPointId = useSession((session) => session.selectedPointId);
  const isRedrawing = useSession((session) => session.isRedrawing);
  const { showsTrail, showsNumbers } = useSettings();
  const arc = activeArcOf(shot);
  const { travels } = evaluate(shot);
  const pixel = 1 / projection.scale;
  return (
    <Svg width={size.width} height={size.height}>
      <G transform={`translate(${projection.offset.x} ${projection.offset.y}) scale(${projection.scale})`}>
        <FieldPaper width={shot.field.width} height={shot.field.height} pixel={pixel} />
        {travels.map((travel) => (
          <Ghosts key={travel.move.id} travel={travel} shot={shot} pixel={pixel} />
        ))}
        <G opacity={isRedrawing ? 0.35 : 1}>
          <Guides
            shot={shot}
            travels={travels}
            pixel={pixel}
            showsTrail={showsTrail}
            showsNumbers={showsNumbers}
          />
          {travels.map((travel) => (
            <G key={travel.move.id}>
              {showsTrail && step !== 'arc' && <Marks travel={travel} pixel={pixel} />}
              <FigureAtPlayhead travel={travel} pixel={pixel} />
            </G>
          ))}
        </G>
        {arc && step === 'arc' && !isRedrawing && (
          <PointsLayer arc={arc} pixel={pixel} selectedPointId={selectedPointId} hovered={hovered} />
        )}
        {stroke.length > 1 && (
          <Path
            d={strokePath(stroke)}
            fill="none"
            stroke={colour.indigo}
            strokeWidth={2 * pixel}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        )}
      </G>
    </Svg>
  );
});
