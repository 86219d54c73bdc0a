import {
  type Arc,
  type ArcPoint,
  distance,
  handlePoint,
  nearestPoint,
  type PointShape,
  shapeHandles,
  type Vector,
} from '@humble/core';
import { BODY_SHARE, type FigureKnob } from './figureKnob';
import type { Tool } from '../../store/editorSlice';
import type { Edits } from '../../kinds/steps';
import type { SelectionGrip, Grip } from './selectionBox';

export type Target =
  | { readonly kind: 'stroke' }
  /** A further point of the arc that is placed point by point; on the first one it closes. */
  | { readonly kind: 'placing'; readonly closes: boolean }
  | { readonly kind: 'centre' }
  | { readonly kind: 'ruler' }
  | { readonly kind: 'backdrop' }
  | { readonly kind: 'grip'; readonly grip: Grip }
  | { readonly kind: 'shape-handle'; readonly id: string; readonly hint: string }
  | { readonly kind: 'point'; readonly pointId: string }
  | { readonly kind: 'handle'; readonly pointId: string; readonly side: 'in' | 'out' }
  | {
      readonly kind: 'arc';
      readonly segment: number;
      readonly t: number;
      readonly s: number;
      readonly point: Vector;
    }
  | {
      readonly kind: 'mark';
      readonly markIds: readonly string[];
      readonly frame: number;
      readonly isTied: boolean;
    }
  | { readonly kind: 'tick'; readonly frame: number }
  | { readonly kind: 'by-hand'; readonly frame: number }
  | { readonly kind: 'figure'; readonly frame: number; readonly adds: boolean; readonly isFar: boolean }
  | { readonly kind: 'knob'; readonly knob: FigureKnob }
  | { readonly kind: 'other-figure'; readonly other: OtherFigure }
  | { readonly kind: 'rider'; readonly rider: RiderInPlace }
  | { readonly kind: 'other-arc'; readonly arcId: string; readonly name: string }
  /** Where the figure really stands on a picture: told by a tap, or dragged there. */
  | { readonly kind: 'stand'; readonly frame: number; readonly isMarked: boolean }
  | { readonly kind: 'stage-figure'; readonly moveId: string; readonly at: Vector }
  | { readonly kind: 'corner'; readonly corner: CornerName }
  | { readonly kind: 'acting' }
  | { readonly kind: 'ground' };

/** A corner of the sheet that lies on the set. */
export type CornerName = 'upperLeft' | 'upperRight' | 'lowerRight' | 'lowerLeft';

/** What can be hit while something is shot. */
export interface ShootTargets {
  readonly figures: readonly { readonly moveId: string; readonly at: Vector; readonly height: number }[];
  readonly corners: readonly { readonly corner: CornerName; readonly at: Vector }[];
  /** The frame of the picture that is told of, and where it was said to stand; null where nothing was taken. */
  readonly told: { readonly frame: number; readonly at: Vector | null } | null;
}

export interface FieldState {
  readonly edits: Edits;
  readonly shoot: ShootTargets | null;
  readonly tool: Tool;
  readonly arc: Arc | null;
  readonly others: readonly Arc[];
  readonly selectedPointIds: readonly string[];
  readonly grips: readonly SelectionGrip[];
  readonly placed: readonly PointShape[];
  readonly isSelectingSeveral: boolean;
  readonly timed: readonly TimingTarget[];
  /** A tap on empty paper puts the figure there: its place is what is worked on. */
  readonly isPutByTap: boolean;
  /** The figure and what putting it elsewhere would do, where it can be put; null where it cannot. */
  readonly figure: FigureInPlace | null;
  readonly knob: FigureKnob | null;
  readonly riders: readonly RiderInPlace[];
  readonly otherFigures: readonly OtherFigure[];
  /** The name of the active figure where that rides no arc: a tap on an arc puts it there. */
  readonly waits: string | null;
}

export interface OtherFigure {
  readonly figureId: string;
  readonly name: string;
  readonly at: Vector;
  readonly height: number;
  readonly arcId: string | null;
  readonly waits: boolean;
}

export interface RiderInPlace {
  readonly riderId: string;
  readonly name: string;
  readonly at: Vector;
  readonly height: number;
}

export interface FigureInPlace {
  readonly at: Vector | null;
  readonly height: number;
  readonly playhead: number;
  readonly frame: number;
  readonly adds: boolean;
}

export interface TimingTarget {
  readonly target: Extract<Target, { kind: 'mark' | 'tick' | 'by-hand' }>;
  readonly at: Vector;
}

/** Half of a finger's target, pixels. */
export const REACH_PX = 22;
/** The active arc is taken before another one that is no more than this nearer, as a share of the reach. */
const ACTIVE_FIRST = 0.35;

type Found = readonly [away: number, target: Target];

/** Points, handles and grips within reach, the nearest first. A handle or a grip wins over a point as near. */
function thingsAt(state: FieldState, arc: Arc, pointer: Vector, reach: number): Found[] {
  const found: Found[] = [];
  const consider = (target: Target, at: Vector): void => {
    const away = distance(at, pointer);
    if (away <= reach) found.push([away, target]);
  };
  for (const { grip, at } of state.grips) consider({ kind: 'grip', grip }, at);
  if (arc.shape)
    for (const { id, hint, at } of shapeHandles(arc.shape)) consider({ kind: 'shape-handle', id, hint }, at);
  const [only] = state.selectedPointIds.length === 1 ? state.selectedPointIds : [];
  const selected = arc.points.find((point) => point.id === only);
  if (selected)
    for (const side of ['in', 'out'] as const)
      if (selected[side].x !== 0 || selected[side].y !== 0)
        consider({ kind: 'handle', pointId: selected.id, side }, handlePoint(selected, side));
  for (const point of arc.points) consider({ kind: 'point', pointId: point.id }, point);
  return found.sort(([a], [b]) => a - b);
}

/** A mark or what is put by hand is taken before a tick that is no more than this nearer, as a share of the reach. */
const MARK_FIRST = 0.3;
/** Ticks are taken from a shorter way: between them the arc itself can be reached. */
const TICK_REACH = 0.5;

function timedAt({ timed }: FieldState, pointer: Vector, reach: number): Target | null {
  let best: Target | null = null;
  let least = Infinity;
  for (const { target, at } of timed) {
    const away = distance(at, pointer);
    const isTick = target.kind === 'tick';
    if (away > (isTick ? TICK_REACH : 1) * reach) continue;
    const rank = away - (isTick ? 0 : MARK_FIRST * reach);
    if (rank >= least) continue;
    least = rank;
    best = target;
  }
  return best;
}

function figureAt({ figure, tool }: FieldState, pointer: Vector, reach: number): Target | null {
  if (!figure) return null;
  const { at, height, frame, adds } = figure;
  const isFar = !at || distance(at, pointer) > Math.max(reach, height * BODY_SHARE);
  return isFar && tool !== 'pose' ? null : { kind: 'figure', frame, adds, isFar };
}

function otherFigureAt({ otherFigures }: FieldState, pointer: Vector, reach: number): Target | null {
  const other = otherFigures.find(
    ({ at, height }) => distance(at, pointer) <= Math.max(reach, height * BODY_SHARE),
  );
  return other ? { kind: 'other-figure', other } : null;
}

function riderAt({ riders }: FieldState, pointer: Vector, reach: number): Target | null {
  let best: RiderInPlace | null = null;
  let least = Infinity;
  for (const rider of riders) {
    const away = distance(rider.at, pointer);
    if (away > Math.max(reach, rider.height * BODY_SHARE) || away >= least) continue;
    least = away;
    best = rider;
  }
  return best && { kind: 'rider', rider: best };
}

function arcAt({ arc, others }: FieldState, pointer: Vector, reach: number): Target | null {
  const near = (candidate: Arc) => {
    const found = nearestPoint(candidate, pointer);
    return found && found.away <= reach ? found : null;
  };
  const mine = arc && !arc.hidden ? near(arc) : null;
  let least = mine ? mine.away - ACTIVE_FIRST * reach : reach;
  let best: Target | null = mine
    ? { kind: 'arc', segment: mine.segment, t: mine.t, s: mine.s, point: mine.point }
    : null;
  for (const other of others) {
    const found = near(other);
    if (!found || found.away > least) continue;
    least = found.away;
    best = { kind: 'other-arc', arcId: other.id, name: other.name };
  }
  return best;
}

function shootTargetsAt({ figures, corners, told }: ShootTargets, pointer: Vector, reach: number): Target[] {
  const near = <At extends { readonly at: Vector }>(things: readonly At[], within: (thing: At) => number) =>
    things.find((thing) => distance(thing.at, pointer) <= within(thing));
  const corner = near(corners, () => reach);
  const isMarked = told?.at != null && distance(told.at, pointer) <= reach;
  const figure = near(figures, ({ height }) => Math.max(reach, height * BODY_SHARE));
  return [
    ...(isMarked ? [{ kind: 'stand', frame: told.frame, isMarked } as const] : []),
    ...(corner ? [{ kind: 'corner', corner: corner.corner } as const] : []),
    ...(figure ? [{ kind: 'stage-figure', moveId: figure.moveId, at: figure.at } as const] : []),
    told ? { kind: 'stand', frame: told.frame, isMarked: false } : { kind: 'ground' },
  ];
}

/**
 * All that lies under a place of the field, the first to be taken first: points and handles in order of
 * their distance, then arcs, then the ground. While something is being made, everything is paper.
 * @param reach field units
 */
export function targetsAt(state: FieldState, pointer: Vector, reach: number): readonly Target[] {
  const { arc, edits, tool } = state;
  switch (tool) {
    case 'stroke':
      return [{ kind: 'stroke' }];
    case 'points': {
      const [first] = state.placed;
      const closes = state.placed.length > 2 && distance(first!, pointer) <= reach;
      return [{ kind: 'placing', closes }];
    }
    case 'centre':
      return [{ kind: 'centre' }];
    case 'corners':
      return [{ kind: 'ground' }];
    case 'calibrate':
      return [{ kind: 'ruler' }];
    case 'act':
      return [{ kind: 'acting' }];
    case 'pose':
      return [figureAt(state, pointer, reach) ?? { kind: 'ground' }];
    case 'backdrop': {
      const grips = state.grips
        .map(({ grip, at }): Found => [distance(at, pointer), { kind: 'grip', grip }])
        .filter(([away]) => away <= reach)
        .sort(([a], [b]) => a - b);
      return [...grips.map(([, target]) => target), { kind: 'backdrop' }];
    }
    case 'shape': {
      if (state.shoot) return shootTargetsAt(state.shoot, pointer, reach);
      const otherFigure = otherFigureAt(state, pointer, reach);
      if (!arc && state.others.length === 0)
        return [
          ...(otherFigure ? [otherFigure] : []),
          edits === 'poses' && state.figure
            ? { kind: 'figure', frame: state.figure.frame, adds: true, isFar: true }
            : { kind: 'stroke' },
        ];
      const body = figureAt(state, pointer, reach);
      const canShape = edits === 'arcs' && arc && !arc.locked && !arc.hidden;
      const things = canShape ? thingsAt(state, arc, pointer, reach) : [];
      const timed = timedAt(state, pointer, reach);
      const knob =
        state.knob && distance(state.knob.at, pointer) <= Math.max(reach, state.knob.reach)
          ? state.knob
          : null;
      const line = arcAt(state, pointer, reach);
      const rider = riderAt(state, pointer, reach);
      // Where timing is worked on, what lies along the arc goes before the figure that stands on it.
      const bodyAndLine = edits === 'timing' ? [line, body] : [body, otherFigure, line];
      return [
        ...things.map(([, target]) => target),
        ...(timed ? [timed] : []),
        ...(knob ? [{ kind: 'knob', knob } as const] : []),
        ...(rider ? [rider] : []),
        ...bodyAndLine.filter((target) => target !== null),
        { kind: 'ground' },
      ];
    }
  }
}

export const targetAt = (state: FieldState, pointer: Vector, reach: number): Target =>
  targetsAt(state, pointer, reach)[0]!;

export const pointsAt = (arc: Arc, pointer: Vector, reach: number): readonly ArcPoint[] =>
  arc.points
    .map((point) => ({ point, away: distance(point, pointer) }))
    .filter(({ away }) => away <= reach)
    .sort((a, b) => a.away - b.away)
    .map(({ point }) => point);
