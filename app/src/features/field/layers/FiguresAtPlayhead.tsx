import {
  drawingOfTravel,
  evaluate,
  figureOn,
  type FigureOn,
  lookOf,
  svgMatrix,
  type Travel,
  travelOfFigure,
  waitingFigure,
} from '@humble/core';
import { memo } from 'react';
import { shallowEqual } from 'react-redux';
import { Circle, G, Image, Path } from 'react-native-svg';
import { activeMoveIn, useAppStore, useThrottledSelector } from '../../../store/hooks';
import { pictureAddress } from '../../../persistence/pictures';
import { useMissingPictures } from '../../../persistence/useMissingPictures';
import { currentFrame, usePlayhead } from '../../../playback/playhead';
import type { RootState } from '../../../store/store';
import { colour } from '../../../ui/colour';
import { TONES } from '../../../ui/tones';
import { LiveGroup, usePixel } from '../../../render/livePaths';
import { currentScene } from '../scene';
import { isFigureSeen } from './arcPaths';
import { usePrefetched } from './usePrefetched';

const travelOf = (state: RootState, figureId: string): Travel | undefined => {
  const { shot } = state.shot.present;
  return shot ? travelOfFigure(evaluate(shot), figureId) : undefined;
};

/** The frame that is seen at the playhead. */
const seenFrame = ({ shown }: Travel, frame = currentFrame()): number =>
  shown[Math.min(frame, shown.length) - 1]!;

/** What is acted out by hand does not play meanwhile: its outline follows the pointer. */
const isActedNow = (state: RootState, figureId: string): boolean =>
  currentScene().acting !== null &&
  state.editor.actsFor === 'this' &&
  activeMoveIn(state)?.figureId === figureId;

const NOWHERE = 'scale(0)';

const seen = new WeakMap<Travel, { readonly frame: number; readonly figure: FigureOn }>();

/** The figure of a travel at the playhead, worked out once for each frame. */
function seenFigure(travel: Travel): FigureOn {
  const frame = seenFrame(travel);
  const known = seen.get(travel);
  if (known?.frame === frame) return known.figure;
  const figure = figureOn(travel, frame - 1);
  seen.set(travel, { frame, figure });
  return figure;
}

/** What is drawn of a figure at the playhead, and where; null where it does not stand. */
function figureAt(state: RootState, figureId: string): FigureOn | null {
  if (isActedNow(state, figureId)) return null;
  const travel = travelOf(state, figureId);
  if (travel) return seenFigure(travel);
  const { shot } = state.shot.present;
  const waiting = shot?.waiting.find((one) => one.figureId === figureId);
  return shot && waiting ? waitingFigure(shot, waiting) : null;
}

/** The transform that puts its artwork where it stands. */
function standing(state: RootState, figureId: string): string {
  const figure = figureAt(state, figureId);
  return figure ? svgMatrix(figure.placement) : NOWHERE;
}

function pivot(state: RootState, figureId: string): string {
  const figure = figureAt(state, figureId);
  if (!figure) return NOWHERE;
  const { look, placement: m } = figure;
  const { x, y } = look.pivot;
  return `translate(${m.a * x + m.c * y + m.e} ${m.b * x + m.d * y + m.f})`;
}

/** Figures that are to be seen, those at the back first. */
const seenFigures = ({ shot, editor }: RootState): string[] =>
  (shot.present.shot?.figures ?? [])
    .filter((figure) => isFigureSeen(figure, editor.soloFigureId))
    .map(({ id }) => id);

/** All figures where they are seen at the playhead, with their pivots. */
export const FiguresAtPlayhead = memo(function FiguresAtPlayhead() {
  const ids = useThrottledSelector(seenFigures, shallowEqual);
  return ids.map((figureId) => <FigureAtPlayhead key={figureId} figureId={figureId} />);
});

function FigureAtPlayhead({ figureId }: { readonly figureId: string }) {
  const pixel = usePixel();
  return (
    <G>
      <LiveGroup
        transform={(state) => standing(state, figureId)}
        opacityIn={(state) => figureAt(state, figureId)?.opacity ?? 1}
        testID="figure"
      >
        <Artwork figureId={figureId} />
      </LiveGroup>
      <LiveGroup transform={(state) => pivot(state, figureId)}>
        <Circle r={3.5 * pixel} fill={colour.brass} stroke={colour.field} strokeWidth={1.25 * pixel} />
      </LiveGroup>
    </G>
  );
}

/** The number of the drawing that a figure shows on a frame. */
function drawingIn(state: RootState, figureId: string, frame: number): number {
  const travel = travelOf(state, figureId);
  return travel ? drawingOfTravel(travel, seenFrame(travel, frame)) : 1;
}

/** The artwork of a figure in its own units: the drawing that belongs to the playhead, else a stand-in or an outline. */
function Artwork({ figureId }: { readonly figureId: string }) {
  const pixel = usePixel();
  const figure = useThrottledSelector(({ shot }) =>
    shot.present.shot?.figures.find(({ id }) => id === figureId),
  );
  const height = useThrottledSelector((state) => travelOf(state, figureId)?.figureHeight ?? null);
  const store = useAppStore();
  // It changes with the playhead as well as with the shot.
  usePlayhead(({ frame }) => drawingIn(store.getState(), figureId, frame));
  const drawing = useThrottledSelector((state) => drawingIn(state, figureId, currentFrame()));
  const drawings = figure?.artwork.kind === 'pictures' ? figure.artwork.drawings : NONE;
  usePrefetched(drawings);
  const isMissing = useMissingPictures(drawings);
  if (!figure) return null;
  const look = lookOf(figure, drawing);
  if (look.picture && !isMissing)
    return (
      <Image
        testID="figure-picture"
        href={pictureAddress(look.picture.sha256)}
        width={look.width}
        height={look.height}
        preserveAspectRatio="none"
      />
    );
  // An outline of an even width, in units of the stand-in's own drawing.
  const outline = (1.5 * pixel * look.height) / (height ?? figure.height);
  return (
    <>
      <Path d={look.silhouette} fill={colour.ink} stroke={colour.field} strokeWidth={outline} />
      {look.details.map(({ d, tone }) => (
        <Path key={d} d={d} fill={TONES[tone]} />
      ))}
    </>
  );
}

const NONE: readonly never[] = [];
