import { type ArcMeasure, measureArc, pointBuffer, writePoint } from '../arc/arcMeasure';
import { ShotError } from '../model/errors';
import { nearestAbout } from '../arc/nearestPoint';
import { shownFrames } from '../exposure/shownFrames';
import type { Arc, Figure, Move, Shot } from '../model/schema';
import { distanceOn } from './distanceOn';
import { blendedDirection, facingOf, leanOf, type LeanUnits } from './facing';
import { heightInField } from './look';
import { offsetPlaces } from './offset';
import { evaluateRiders, type RiderTravel } from './riders';
import { fractionsOnFrames, lastFrame } from '../timing/placeInTime';
import { shakenBy } from './shake';
import { type TrackValues, valuesOnFrames } from '../timing/tracks/trackValues';

/**
 * One move, worked out for every frame of its shot: index 0 is frame 1. All planned values; what is
 * seen on frame f is at index `shown[f − 1] − 1`.
 */
export interface Travel {
  readonly move: Move;
  readonly arc: Arc;
  readonly figure: Figure;
  readonly arcLength: number;
  /** Distance from the start of the arc, field units; may pass the length on a closed arc. */
  readonly arcDistance: Float64Array;
  /** The same by the plan alone, without what is put by hand. */
  readonly plan: Float64Array;
  /** Its place on the arc, or off it where it was put by hand; field units. */
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** Where its pivot stands: its place, and the offset from there. The same arrays where nothing is offset. */
  readonly pivotX: Float64Array;
  readonly pivotY: Float64Array;
  /** Direction of the arc there in degrees, clockwise as seen, unwrapped; it stays through a hold. */
  readonly direction: Float64Array;
  readonly blendedDirection: Float64Array;
  /** Heading of the figure in degrees, clockwise as seen, continuous through any number of turns. */
  readonly heading: Float64Array;
  readonly tracks: TrackValues;
  readonly shown: Int32Array;
  readonly figureHeight: number;
  /** Its riders, in the order of the move. */
  readonly riders: readonly RiderTravel[];
}

export interface Evaluation {
  readonly shot: Shot;
  readonly travels: readonly Travel[];
}

/** Two places closer than this share of the arc are the same place. */
export const SAME_PLACE = 1e-12;

/** What is put by hand looks for its place at least this share of the arc to both sides. */
const NEARBY = 0.02;

interface Sampled extends Pick<Travel, 'arcDistance' | 'x' | 'y'> {
  readonly tangent: Float64Array;
}

const lastOn = new WeakMap<ArcMeasure, Sampled>();

function sameAround(arcDistance: Float64Array, before: Float64Array | undefined): (i: number) => boolean {
  if (before?.length !== arcDistance.length) return () => false;
  const isSame = (i: number): boolean => i < 0 || i >= arcDistance.length || arcDistance[i] === before[i];
  return (i) => isSame(i) && isSame(i - 1) && isSame(i + 1);
}

function sample(
  { move, arc, figure }: Pick<Travel, 'move' | 'arc' | 'figure'>,
  measure: ArcMeasure,
  frameCount: number,
  units: LeanUnits,
) {
  const arcDistance = new Float64Array(frameCount);
  const x = new Float64Array(frameCount);
  const y = new Float64Array(frameCount);
  const direction = new Float64Array(frameCount);
  const heading = new Float64Array(frameCount);
  const { length } = measure;
  const fractions = fractionsOnFrames(move, frameCount);
  for (let i = 0; i < frameCount; i++) arcDistance[i] = distanceOn(measure, fractions[i]!);
  const at = pointBuffer();
  const same = length * SAME_PLACE;
  const tangent = new Float64Array(frameCount);
  const tracks = valuesOnFrames(move.tracks, frameCount);
  const known = lastOn.get(measure);
  const isKnown = sameAround(arcDistance, known?.arcDistance);
  for (let i = 0; i < frameCount; i++) {
    const s = arcDistance[i]!;
    if (known && isKnown(i)) {
      x[i] = known.x[i]!;
      y[i] = known.y[i]!;
      tangent[i] = known.tangent[i]!;
    } else {
      const cameForward = i > 0 && s - arcDistance[i - 1]! > same;
      const staysNext = i + 1 < frameCount && Math.abs(arcDistance[i + 1]! - s) <= same;
      // A figure that stops on a corner keeps the heading it arrived with until it leaves.
      writePoint(measure, s, arc.points[0], at, cameForward && staysNext ? 'arriving' : 'leaving');
      x[i] = at.x;
      y[i] = at.y;
      tangent[i] = at.headingDeg;
    }
    const stoodStill = i > 0 && Math.abs(s - arcDistance[i - 1]!) <= same;
    direction[i] = stoodStill ? direction[i - 1]! : tangent[i]!;
  }
  const blended = blendedDirection(
    measure,
    move.cornerFrames,
    arcDistance,
    direction,
    same,
    arc.closed && lastFrame(move) === frameCount + 1,
  );
  const facing = move.turnsWithArc ? facingOf(move, arcDistance, blended, same) : null;
  const lean = leanOf(move, arc, arcDistance, units);
  for (let i = 0; i < frameCount; i++)
    heading[i] = (facing?.[i] ?? 0) + move.correctionDeg + tracks.turn[i]! + (lean?.[i] ?? 0);
  // What is put by hand below is no place on the arc.
  if (move.overrides.length === 0) lastOn.set(measure, { arcDistance, x, y, tangent });
  const plan = move.overrides.length > 0 ? arcDistance.slice() : arcDistance;
  putByHand(move, arc, length, { arcDistance, x, y });
  const offset = offsetPlaces(move, { x, y }, blended, tracks);
  const isShaken = move.shakes.length > 0;
  const pivotX = isShaken ? offset.x.slice() : offset.x;
  const pivotY = isShaken ? offset.y.slice() : offset.y;
  if (isShaken)
    for (let i = 0; i < frameCount; i++) {
      const by = shakenBy(move.shakes, i + 1);
      pivotX[i]! += by.x;
      pivotY[i]! += by.y;
      heading[i]! += by.turnDeg;
    }
  const shown = shownFrames(move, figure, frameCount);
  return {
    arcDistance,
    plan,
    x,
    y,
    pivotX,
    pivotY,
    direction,
    blendedDirection: blended,
    heading,
    tracks,
    shown,
  };
}

/** What was put off the plan stands there; its place on the arc is the nearest about where it would have been. */
function putByHand(
  { overrides }: Move,
  arc: Arc,
  length: number,
  { arcDistance, x, y }: Pick<Travel, 'arcDistance' | 'x' | 'y'>,
): void {
  for (const { frame, dx, dy } of overrides) {
    const i = frame - 1;
    if (i >= arcDistance.length) continue;
    x[i]! += dx;
    y[i]! += dy;
    const reach = Math.min(length / 2, 2 * Math.hypot(dx, dy) + length * NEARBY);
    arcDistance[i] = nearestAbout(arc, { x: x[i]!, y: y[i]! }, arcDistance[i]!, reach)?.s ?? arcDistance[i]!;
  }
}

interface Known {
  readonly arc: Arc;
  readonly figure: Figure;
  readonly frameCount: number;
  /** What a lean by physics and a real height were worked out with; null where it does not matter. */
  readonly units: LeanUnits | null;
  travel: Travel;
}

const travels = new WeakMap<Move, Known>();
const evaluations = new WeakMap<Shot, Evaluation>();

function findPart<T extends { readonly id: string }>(parts: readonly T[], id: string): T {
  const part = parts.find((candidate) => candidate.id === id);
  if (!part) throw new ShotError('unknown-id', `The shot has no part ${id}.`);
  return part;
}

export const moveParts = (shot: Shot, move: Move): { readonly arc: Arc; readonly figure: Figure } => ({
  arc: findPart(shot.arcs, move.arcId),
  figure: findPart(shot.figures, move.figureId),
});

function withRidersOn(shot: Shot, known: Known): Travel {
  const { travel } = known;
  const { arcs } = shot;
  const isSame = travel.riders.every(({ arc }) => arc === travel.arc || arcs.includes(arc));
  if (!isSame) known.travel = { ...travel, riders: evaluateRiders(travel, arcs, shot.field) };
  return known.travel;
}

/**
 * One move of a shot, worked out. Remembered until the move, its arc, its figure or the length of the
 * shot changes.
 * @throws ShotError `unknown-id`
 */
export function evaluateMove(shot: Shot, move: Move): Travel {
  const { arc, figure } = moveParts(shot, move);
  const frameCount = shot.lengthFrames;
  const known = travels.get(move);
  const units = { rate: shot.rate, unitsPerMm: shot.field.unitsPerMm };
  if (
    known &&
    known.arc === arc &&
    known.figure === figure &&
    known.frameCount === frameCount &&
    (!known.units || (known.units.rate === units.rate && known.units.unitsPerMm === units.unitsPerMm))
  )
    return withRidersOn(shot, known);
  const measure = measureArc(arc);
  const leader = {
    move,
    arc,
    figure,
    arcLength: measure.length,
    figureHeight: heightInField(figure, shot.field),
    ...sample({ move, arc, figure }, measure, frameCount, units),
  };
  const travel: Travel = { ...leader, riders: evaluateRiders(leader, shot.arcs, shot.field) };
  const usesUnits =
    move.lean.by === 'physics' || [figure, ...move.riders].some(({ heightMm }) => heightMm !== null);
  travels.set(move, {
    arc,
    figure,
    frameCount,
    units: usesUnits ? units : null,
    travel,
  });
  return travel;
}

/** A whole shot, worked out: the only source of positions for views, exports and the terminal. */
export function evaluate(shot: Shot): Evaluation {
  const known = evaluations.get(shot);
  if (known) return known;
  const evaluation = { shot, travels: shot.moves.map((move) => evaluateMove(shot, move)) };
  evaluations.set(shot, evaluation);
  return evaluation;
}

interface TravelsById {
  readonly byMove: ReadonlyMap<string, Travel>;
  readonly byFigure: ReadonlyMap<string, Travel>;
}

const travelsById = new WeakMap<Evaluation, TravelsById>();

function indexed(evaluation: Evaluation): TravelsById {
  let index = travelsById.get(evaluation);
  if (!index) {
    const { travels: all } = evaluation;
    index = {
      byMove: new Map(all.map((travel) => [travel.move.id, travel])),
      byFigure: new Map(all.map((travel) => [travel.figure.id, travel])),
    };
    travelsById.set(evaluation, index);
  }
  return index;
}

export const travelOfMove = (evaluation: Evaluation, moveId: string): Travel | undefined =>
  indexed(evaluation).byMove.get(moveId);

export const travelOfFigure = (evaluation: Evaluation, figureId: string): Travel | undefined =>
  indexed(evaluation).byFigure.get(figureId);
