import {
  evaluate,
  type Figure,
  heightInField,
  isCamera,
  pointAtDistance,
  poseAim,
  type Shot,
  type Travel,
  type Vector,
} from '@humble/core';
import { unrolledArc } from '@humble/core/views';
import {
  selectActiveTravel,
  selectFigurePivot,
  selectedPoints,
  selectEdits,
} from '../../store/selectors/selection';
import type { RootState } from '../../store/store';
import { type SelectionBox, selectionBoxCorners, selectionBoxGrips, selectionBoxRound } from './selectionBox';
import { currentFrame, isPlaying } from '../../playback/playhead';
import { standsOnStage } from '../../cameras/cardboardStage';
import { selectShownInField, selectToldActual, selectToldPicture } from '../../store/selectors/shooting';
import { isFigureSeen } from './layers/arcPaths';
import type {
  FieldState,
  FigureInPlace,
  OtherFigure,
  RiderInPlace,
  ShootTargets,
  TimingTarget,
} from './hitTest';
import type { GripsOf } from './overlays/SelectionFrame';
import { selectFigureKnob } from './figureKnob';
import { type Projection, toField } from './viewport';
import {
  selectActiveArc,
  selectActiveMove,
  selectActiveWaiting,
  selectOpenShot,
} from '../../store/selectors/active';

export function fieldStateOf(state: RootState, grips: GripsOf): FieldState {
  const { shot } = state.shot.present;
  const { tool, selectedPointIds, placed, isSelectingSeveral } = state.editor;
  const arc = selectActiveArc(state);
  return {
    edits: selectEdits(state),
    shoot: selectEdits(state) === 'pictures' ? selectShootTargets(state) : null,
    tool,
    arc,
    others: shot?.arcs.filter((other) => other !== arc && !other.hidden) ?? [],
    selectedPointIds,
    grips: grips(state).grips,
    placed,
    isSelectingSeveral,
    figure: takesFigure(state) && !arc?.locked ? selectFigureInPlace(state) : null,
    isPutByTap: selectEdits(state) === 'poses' && state.settings.keyLine === 'place',
    otherFigures: selectEdits(state) === 'poses' ? selectOtherFigures(state) : NO_FIGURES,
    waits: selectWaitingName(state),
    knob: selectFigureKnob(state),
    riders: selectRidersInPlace(state),
    timed:
      selectEdits(state) === 'timing' && arc && !arc.hidden ? selectTimingTargets(state) : NO_TIMING_TARGETS,
  };
}

/** Whether the figure can be taken hold of: to pose it, or in the Timing step to move it along its arc. */
function takesFigure(state: RootState): boolean {
  const edits = selectEdits(state);
  return (
    state.editor.tool === 'pose' ||
    edits === 'poses' ||
    (edits === 'timing' && selectActiveTravel(state) !== null)
  );
}

const NO_FIGURES: readonly OtherFigure[] = [];
const NO_RIDERS: readonly RiderInPlace[] = [];

function selectRidersInPlace(state: RootState): readonly RiderInPlace[] {
  if (selectEdits(state) !== 'poses' || state.settings.groupInFront.figure !== 'parts') return NO_RIDERS;
  const travel = selectActiveTravel(state);
  if (!travel || travel.arc.hidden || travel.figure.locked) return NO_RIDERS;
  const i = travel.shown[Math.min(currentFrame(), travel.shown.length) - 1]! - 1;
  return [...travel.riders]
    .reverse()
    .filter(({ rider }) => !rider.hidden && !rider.locked)
    .map(({ rider, placeOn, height }) => {
      const { pivotX, pivotY } = placeOn(i);
      return {
        riderId: rider.id,
        name: rider.name,
        at: { x: pivotX, y: pivotY },
        height: (height * rider.sizePercent) / 100,
      };
    });
}

const CORNERS = ['upperLeft', 'upperRight', 'lowerRight', 'lowerLeft'] as const;

function selectShootTargets(state: RootState): ShootTargets {
  const shot = selectOpenShot(state);
  const [frame, playing] = [currentFrame(), isPlaying()];
  const told = selectToldPicture(state, frame);
  const actual = selectToldActual(state, frame);
  const isLive = selectShownInField(state, { frame, isPlaying: playing }) === 'live';
  const { perspective } = shot.shoot;
  return {
    figures: isLive
      ? evaluate(shot).travels.flatMap(({ move, figure, figureHeight }) => {
          const at = figure.hidden ? null : standsOnStage(move.id);
          return at ? [{ moveId: move.id, at, height: figureHeight }] : [];
        })
      : [],
    corners:
      perspective && state.settings.groupInFront.shoot === 'camera'
        ? CORNERS.map((corner) => ({ corner, at: perspective[corner] }))
        : [],
    told: told && { frame: told.frame, at: actual },
  };
}

function selectWaitingName(state: RootState): string | null {
  const waiting = selectActiveWaiting(state);
  const figure = waiting && state.shot.present.shot?.figures.find(({ id }) => id === waiting.figureId);
  return figure?.name ?? null;
}

function selectOtherFigures(state: RootState): readonly OtherFigure[] {
  const { shot } = state.shot.present;
  if (!shot) return NO_FIGURES;
  const { soloFigureId } = state.editor;
  const active = selectActiveMove(state)?.figureId;
  const others = new Map<string, OtherFigure>();
  for (const { move, figure, arc, pivotX, pivotY, figureHeight, shown } of evaluate(shot).travels) {
    const i = shown[Math.min(currentFrame(), shown.length) - 1]! - 1;
    others.set(figure.id, {
      figureId: figure.id,
      name: figure.name,
      at: { x: pivotX[i]!, y: pivotY[i]! },
      height: handHeight(figure, figureHeight),
      arcId: arc.hidden ? null : move.arcId,
      waits: false,
    });
  }
  for (const { figureId, x, y } of shot.waiting) {
    const figure = shot.figures.find(({ id }) => id === figureId)!;
    const height = heightInField(figure, shot.field);
    others.set(figureId, { figureId, name: figure.name, at: { x, y }, height, arcId: null, waits: true });
  }
  return [...shot.figures]
    .reverse()
    .filter((figure) => figure.id !== active && !figure.locked && isFigureSeen(figure, soloFigureId))
    .flatMap(({ id }) => others.get(id) ?? []);
}

function selectFigureInPlace(state: RootState): FigureInPlace | null {
  const travel = selectActiveTravel(state);
  const playhead = currentFrame();
  if (travel?.figure.locked) return null;
  if (selectActiveWaiting(state)) return null;
  if (!travel) return { at: null, height: 0, playhead, frame: playhead, adds: true };
  const { move, figure, figureHeight } = travel;
  const { frame, markId } = poseAim(move, playhead);
  return {
    at: selectFigurePivot(state, currentFrame()),
    height: handHeight(figure, figureHeight),
    playhead,
    frame,
    adds: markId === null,
  };
}

/** A camera frames the whole field: it is taken hold of about its middle alone. */
const CAMERA_HAND_SHARE = 0.15;

const handHeight = (figure: Figure, height: number): number =>
  isCamera(figure) ? CAMERA_HAND_SHARE * height : height;

const NO_TIMING_TARGETS: readonly TimingTarget[] = [];

let known: {
  readonly travel: Travel;
  readonly lengthFrames: number;
  readonly things: readonly TimingTarget[];
} | null = null;

function selectTimingTargets(state: RootState): readonly TimingTarget[] {
  const { shot } = state.shot.present;
  const travel = selectActiveTravel(state);
  if (!shot || !travel) return NO_TIMING_TARGETS;
  const { lengthFrames } = shot;
  if (known?.travel === travel && known.lengthFrames === lengthFrames) return known.things;
  const { move, arc, arcLength, x, y } = travel;
  const { ticks, posts } = unrolledArc(shot, move);
  const at = (frame: number): Vector => {
    const i = Math.min(frame, x.length) - 1;
    return { x: x[i]!, y: y[i]! };
  };
  const tied = new Set(move.marks.filter(({ pointId }) => pointId !== null).map(({ id }) => id));
  const things: TimingTarget[] = [
    ...move.overrides.map(({ frame }) => ({ target: { kind: 'by-hand', frame } as const, at: at(frame) })),
    ...posts.map(({ markIds, frame }) => ({
      target: { kind: 'mark', markIds, frame, isTied: markIds.some((id) => tied.has(id)) } as const,
      at: pointAtDistance(arc, move.marks.find(({ id }) => id === markIds[0])!.fraction * arcLength),
    })),
    ...ticks
      .filter(
        ({ frame, isByHand }) =>
          !isByHand &&
          posts.some(({ untilFrame }, i) => frame > untilFrame && frame < (posts[i + 1]?.frame ?? -Infinity)),
      )
      .map(({ frame }) => ({ target: { kind: 'tick', frame } as const, at: at(frame) })),
  ];
  known = { travel, lengthFrames, things };
  return things;
}

function backdropBox(backdrop: NonNullable<Shot['backdrop']>): SelectionBox | null {
  const [first] = backdrop.pictures;
  if (!first) return null;
  return {
    centre: { x: backdrop.x, y: backdrop.y },
    halfWidth: backdrop.width / 2,
    halfHeight: (backdrop.width * first.height) / first.width / 2,
    turnDeg: backdrop.turnDeg,
  };
}

function selectSelectionBox(state: RootState, pixel: number): SelectionBox | null {
  if (selectEdits(state) !== 'arcs') return null;
  const { tool } = state.editor;
  if (tool === 'backdrop') {
    const backdrop = state.shot.present.shot?.backdrop;
    return backdrop && !backdrop.locked ? backdropBox(backdrop) : null;
  }
  const arc = selectActiveArc(state);
  if (tool !== 'shape' || !arc || arc.locked || arc.hidden) return null;
  return selectionBoxRound(selectedPoints(arc, state.editor), pixel);
}

/** Grips may lie no nearer to the edge of the view than this, pixels. */
const EDGE_PX = 18;
const NOTHING: ReturnType<GripsOf> = { grips: [], corners: [] };

export function gripsFor(
  projection: Projection,
  view: { readonly width: number; readonly height: number },
): GripsOf {
  let latest: { readonly of: readonly unknown[]; readonly found: ReturnType<GripsOf> } | null = null;
  return (state) => {
    const of = [state.shot, state.editor, state.session];
    if (latest?.of.every((part, i) => part === of[i])) return latest.found;
    const frame = selectSelectionBox(state, 1 / projection.scale);
    const seen = {
      from: toField(projection, { x: EDGE_PX, y: EDGE_PX }),
      to: toField(projection, { x: view.width - EDGE_PX, y: view.height - EDGE_PX }),
    };
    const found = frame
      ? { grips: selectionBoxGrips(frame, seen), corners: selectionBoxCorners(frame) }
      : NOTHING;
    latest = { of, found };
    return found;
  };
}
