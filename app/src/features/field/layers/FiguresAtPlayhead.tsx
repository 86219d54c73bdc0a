import { applyTo, type Figure, svgMatrix } from '@humble/core';
import {
  type BetweenOn,
  betweenOn,
  drawingOfTravel,
  drawnThroughSpans,
  type FigureOn,
  ringsPath,
  SILHOUETTE_UNITS,
  waitingFigure,
} from '@humble/core/views';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { G } from 'react-native-svg';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { usePixel } from '../../../render/pixel';
import { LiveGroup, LivePath } from '../../../playback/liveShapes';
import { circlePath } from '../../../ui/circlePath';
import { Laid } from '../cameraSeen';
import { isFigureSeen } from './arcPaths';
import { ArtworkLayer } from './Artwork';
import { selectIsActedNow, selectSeenFrame, selectSeenParts, selectTravel } from './partsAtPlayhead';
import { RidersAtPlayhead } from './RidersAtPlayhead';
import { useThrottledSelector } from '../../../store/throttled/hooks';

const NOWHERE = 'scale(0)';

function figureAt(state: RootState, figureId: string): FigureOn | null {
  if (selectIsActedNow(state, figureId)) return null;
  const travel = selectTravel(state, figureId);
  if (travel) return selectSeenParts(state, travel).get(null) ?? null;
  const { shot } = state.shot.present;
  const waiting = shot?.waiting.find((one) => one.figureId === figureId);
  return shot && waiting ? waitingFigure(shot, waiting) : null;
}

function standing(state: RootState, figureId: string): string {
  const figure = figureAt(state, figureId);
  return figure ? svgMatrix(figure.placement) : NOWHERE;
}

function pivotDot(state: RootState, figureId: string, r: number): string {
  const figure = figureAt(state, figureId);
  return figure ? circlePath(applyTo(figure.placement, figure.look.pivot), r) : '';
}

const seenFigures = ({ shot, editor }: RootState): string[] =>
  (shot.present.shot?.figures ?? [])
    .filter((figure) => isFigureSeen(figure, editor.soloFigureId))
    .map(({ id }) => id);

export const FiguresAtPlayhead = memo(function FiguresAtPlayhead() {
  const ids = useThrottledSelector(seenFigures, shallowEqual);
  return ids.map((figureId) => <FigureAtPlayhead key={figureId} figureId={figureId} />);
});

function FigureAtPlayhead({ figureId }: { readonly figureId: string }) {
  const figure = useThrottledSelector(({ shot }) =>
    shot.present.shot?.figures.find(({ id }) => id === figureId),
  );
  if (!figure) return null;
  return (
    <Laid distance={figure.isFixedToCamera ? 'fixed' : 1}>
      <PartsAtPlayhead figure={figure} />
    </Laid>
  );
}

function PartsAtPlayhead({ figure }: { readonly figure: Figure }) {
  const { id: figureId } = figure;
  const pixel = usePixel();
  const height = useThrottledSelector((state) => selectTravel(state, figureId)?.figureHeight ?? null);
  const isDrawnThrough = useThrottledSelector(
    (state) => drawnThroughSpans(selectTravel(state, figureId)?.move ?? NO_DRAWINGS).length > 0,
  );
  return (
    <G>
      <RidersAtPlayhead figureId={figureId} inFront={false} />
      <LiveGroup
        transform={(state) => standing(state, figureId)}
        opacityIn={(state) => (betweenAt(state, figureId) ? 0 : (figureAt(state, figureId)?.opacity ?? 1))}
        testID="figure"
      >
        <ArtworkLayer
          figure={figure}
          drawingIn={(state) => drawingIn(state, figureId)}
          height={height ?? figure.height}
        />
      </LiveGroup>
      {isDrawnThrough && <BetweenAtPlayhead figureId={figureId} />}
      <RidersAtPlayhead figureId={figureId} inFront />
      <LivePath
        path={(state) => pivotDot(state, figureId, 3.5 * pixel)}
        fill={colour.brass}
        stroke={colour.field}
        strokeWidth={1.25 * pixel}
      />
    </G>
  );
}

const NO_DRAWINGS = { drawings: [] } as const;

/** The in-between that is to be drawn at the playhead; null where a drawing is shown. */
function betweenAt(state: RootState, figureId: string): BetweenOn | null {
  const travel = selectTravel(state, figureId);
  if (!travel || selectIsActedNow(state, figureId)) return null;
  const between = betweenOn(travel, selectSeenFrame(state, travel));
  return between && between.rings.length > 0 ? between : null;
}

/** The outline of the in-between that the playhead is on: a line to draw over, in place of the drawing before it. */
function BetweenAtPlayhead({ figureId }: { readonly figureId: string }) {
  const pixel = usePixel() * SILHOUETTE_UNITS;
  const path = (state: RootState): string => {
    const between = betweenAt(state, figureId);
    const figure = between && figureAt(state, figureId);
    return figure ? ringsPath(between.rings, figure.placement) : '';
  };
  return (
    <G scale={1 / SILHOUETTE_UNITS}>
      <LivePath path={path} fill="none" stroke={colour.field} strokeWidth={4.5 * pixel} />
      <LivePath path={path} fill="none" stroke={colour.ink} strokeWidth={2 * pixel} testID="in-between" />
    </G>
  );
}

function drawingIn(state: RootState, figureId: string): number {
  const travel = selectTravel(state, figureId);
  return travel ? drawingOfTravel(travel, selectSeenFrame(state, travel)) : 1;
}
