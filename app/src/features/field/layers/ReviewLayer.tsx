import { evaluate, type Shot, type Travel, travelOfMove } from '@humble/core';
import { partsOn, SILHOUETTE_UNITS, silhouettePath } from '@humble/core/views';
import { memo } from 'react';
import { G } from 'react-native-svg';
import { currentFrame } from '../../../playback/playhead';
import { usePixel } from '../../../render/pixel';
import { LivePath } from '../../../playback/liveShapes';
import { takeOfTurn } from '../../../playback/takeOfTurn';
import { selectComparison, seenFrameOf } from '../../../store/selectors/comparison';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { OTHER_TAKE } from '../../../ui/otherTake';
import { polyline } from '../overlays/shapes';
import { circlePath } from '../../../ui/circlePath';
import { isFigureSeen, linePath, trails, visibleArcs, visibleTravels } from './arcPaths';
import { Layer, type LayerProps } from './Layer';
import { lruMemoize } from '@reduxjs/toolkit';

export const ReviewLayer = memo(function ReviewLayer({ size, projection }: Omit<LayerProps, 'children'>) {
  const pixel = usePixel();
  return (
    <Layer size={size} projection={projection}>
      <LivePath
        path={otherArcsPath}
        fill="none"
        stroke={colour[OTHER_TAKE.tone]}
        strokeWidth={1.5 * pixel}
        testID="other-arcs"
      />
      <LivePath
        path={(state) => otherTrail(state, pixel)}
        fill="none"
        stroke={colour[OTHER_TAKE.tone]}
        strokeWidth={pixel}
      />
      <G scale={1 / SILHOUETTE_UNITS} testID="other-take">
        <LivePath
          path={otherTakePath}
          fill="none"
          stroke={colour[OTHER_TAKE.tone]}
          strokeWidth={2 * pixel * SILHOUETTE_UNITS}
          strokeDasharray={OTHER_TAKE.dashes.map((dash) => dash * pixel * SILHOUETTE_UNITS).join(' ')}
        />
      </G>
      <LivePath
        path={findingLine}
        fill="none"
        stroke={colour.plum}
        strokeWidth={6 * pixel}
        strokeOpacity={0.4}
        strokeLinecap="round"
      />
      <LivePath
        path={(state) => findingRing(state, pixel)}
        fill="none"
        stroke={colour.field}
        strokeWidth={5 * pixel}
      />
      <LivePath
        path={(state) => findingRing(state, pixel)}
        fill="none"
        stroke={colour.plum}
        strokeWidth={2.5 * pixel}
        testID="finding-ring"
      />
    </Layer>
  );
});

/** The ring goes round the figure, a stroke through its edge, and is never smaller than this, pixels. */
const RING_PX = 18;

const silhouettes = lruMemoize(
  (travels: readonly Travel[], frame: number, shift: number, soloId: string | null) =>
    travels
      .filter(({ figure }) => isFigureSeen(figure, soloId))
      .flatMap((travel) => partsOn(travel, seenFrameOf(travel, frame, shift) - 1))
      .map(({ look, placement }) => silhouettePath(look, placement))
      .join(''),
);

/** Those of figures that are gone since: what is shown alone has no other way to be seen. */
const goneSince = lruMemoize((other: Shot, now: Shot | null): readonly Travel[] =>
  evaluate(other).travels.filter(({ figure }) => !now?.figures.some(({ id }) => id === figure.id)),
);

/** Figures where the other take or version has them; not while that is the one that is shown. */
function otherTakePath(state: RootState): string {
  const comparison = selectComparison(state);
  if (!comparison) return '';
  const { other, shift } = comparison;
  const travels = takeOfTurn(state) ? goneSince(other, state.shot.present.shot) : evaluate(other).travels;
  return silhouettes(travels, currentFrame(), shift, state.editor.soloFigureId);
}

/** An earlier version has arcs of its own: those that are not what they are now. */
const otherArcs = lruMemoize((other: Shot, now: Shot | null, isAlone: boolean): string => {
  const same = new Set(isAlone || !now ? [] : visibleArcs(now).map(linePath));
  return visibleArcs(other)
    .map(linePath)
    .filter((d) => !same.has(d))
    .join('');
});

const isShownAlone = ({ review }: RootState): boolean => review.compared?.shows === 'alone';

function otherArcsPath(state: RootState): string {
  const comparison = selectComparison(state);
  if (!comparison || comparison.takeId !== null) return '';
  return otherArcs(comparison.other, state.shot.present.shot, isShownAlone(state));
}

const otherTrails = trails();

/** Its ticks, where nothing else has any. */
function otherTrail(state: RootState, pixel: number): string {
  const comparison = selectComparison(state);
  if (!comparison || !isShownAlone(state)) return '';
  const { other } = comparison;
  return otherTrails.ticks(visibleTravels(other, state.editor.soloFigureId), other, pixel).join('');
}

function shownFinding(state: RootState) {
  const { shot } = state.shot.present;
  const { shownFinding: finding } = state.review;
  const travel = shot && finding && travelOfMove(evaluate(shot), finding.moveId);
  if (!travel) return null;
  const last = travel.shown.length;
  const within = (frame: number): number => Math.max(1, Math.min(last, frame));
  return { travel, from: within(finding.from), until: within(finding.until) };
}

function findingLine(state: RootState): string {
  const shown = shownFinding(state);
  if (!shown || shown.from === shown.until) return '';
  const { travel, from, until } = shown;
  return polyline(
    Array.from({ length: until - from + 1 }, (_, i) => {
      const at = travel.shown[from - 1 + i]! - 1;
      return { x: travel.pivotX[at]!, y: travel.pivotY[at]! };
    }),
  );
}

function findingRing(state: RootState, pixel: number): string {
  const shown = shownFinding(state);
  if (!shown) return '';
  const { travel, until } = shown;
  const at = travel.shown[until - 1]! - 1;
  const radius = Math.max(RING_PX * pixel, 0.75 * travel.figureHeight);
  const [x, y] = [travel.pivotX[at]!, travel.pivotY[at]!];
  const [inner, outer] = [0.5 * radius, 0.95 * radius];
  return `${circlePath({ x, y }, radius)}M${x + inner} ${y - inner}L${x + outer} ${y - outer}`;
}
