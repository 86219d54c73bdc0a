import { type ArcMeasure, measureArc, type PointBuffer, pointBuffer, writePoint } from '../arc/arcMeasure';
import { nearestAbout, nearestPoint } from '../arc/nearestPoint';
import { type Vector, wrapDeg } from '../arc/vector';
import type { Arc, Field, Rider } from '../model/schema';
import { fractionAt } from '../timing/placeInTime';
import { distanceOn } from './distanceOn';
import type { Travel } from './evaluate';
import { blendedDirection } from './facing';
import { drawingCount, drawingOn } from '../exposure/drawings';
import { heightInField } from './look';
import { offsetInField } from './offset';

export interface RiderPlace {
  readonly pivotX: number;
  readonly pivotY: number;
  readonly directionDeg: number;
  /** How it is turned, degrees clockwise as seen, continuous. */
  readonly headingDeg: number;
}

/**
 * A rider on its way. What is asked for is worked out then: of many riders over many frames few are seen at a time.
 * Frames are counted from 0, as in a travel.
 */
export interface RiderTravel {
  readonly rider: Rider;
  readonly arc: Arc;
  /** Distance from the start of that arc on a frame, field units; it may lie past the ends. */
  readonly distanceOn: (i: number) => number;
  readonly placeOn: (i: number) => RiderPlace;
  readonly height: number;
}

export type Leader = Pick<
  Travel,
  'move' | 'arc' | 'figure' | 'arcLength' | 'arcDistance' | 'pivotX' | 'pivotY'
>;

const NO_RIDERS: readonly RiderTravel[] = [];
const NO_OFFSET = { x: 0, y: 0 };

/** Two distances closer than this share of an arc are the same. */
const SAME = 1e-12;

/** Of equally near spots on a second arc, one within this share of the arc of the spot before is taken. */
const NEARBY = 0.1;

/** Spots are equally near where they differ by less than this share of the arc. */
const AS_NEAR = 1e-9;

function standsSince({ arcDistance, arcLength }: Leader): Int32Array {
  const same = arcLength * SAME;
  const since = new Int32Array(arcDistance.length);
  for (let i = 1; i < since.length; i++)
    since[i] = Math.abs(arcDistance[i]! - arcDistance[i - 1]!) <= same ? since[i - 1]! : i;
  return since;
}

/**
 * Distance along the figure's arc on a frame: ahead of it or behind, s(f) + d, or where it was some frames before,
 * s(f − n), also before the first frame of the shot and after its last one.
 */
function alongFirst({ follows }: Rider, { move, arc, arcDistance }: Leader, since: Int32Array) {
  if (follows.by === 'distance') return (i: number) => arcDistance[since[i]!]! + follows.distance;
  const measure = measureArc(arc);
  return (i: number): number => {
    const at = i - follows.frames;
    return at >= 0 && at < since.length
      ? arcDistance[since[at]!]!
      : distanceOn(measure, fractionAt(move, at + 1));
  };
}

/** Values for all frames that are worked out together, when the first of them is asked for. */
function together(workOut: () => Float64Array): (i: number) => number {
  let all: Float64Array | undefined;
  return (i) => (all ??= workOut())[i]!;
}

function alongSecond(rider: Rider, leader: Leader, second: Arc, along: (i: number) => number) {
  const { length } = measureArc(second);
  if (rider.onSecond === 'share') {
    const share = leader.arcLength > 0 ? length / leader.arcLength : 0;
    return (i: number) => along(i) * share;
  }
  return together(() => {
    const first = measureArc(leader.arc);
    const at = pointBuffer();
    let before: number | null = null;
    return leader.arcDistance.map((_, i) => {
      writePoint(first, along(i), leader.arc.points[0], at);
      return (before = nearestSpot(second, at, before));
    });
  });
}

/**
 * The distance along an arc of its spot nearest to a place in the field. The whole arc is searched; of equally near
 * spots, the one close to the spot before is taken. A closed arc is counted on the lap nearest to that spot.
 */
export function nearestSpot(arc: Arc, to: Vector, before: number | null): number {
  const { length, closed } = measureArc(arc);
  const nearest = nearestPoint(arc, to);
  if (!nearest) return 0;
  if (before === null) return nearest.s;
  const s = nearest.s + (closed ? Math.round((before - nearest.s) / length) * length : 0);
  if (Math.abs(s - before) <= length * NEARBY) return s;
  const about = nearestAbout(arc, to, before, length * NEARBY);
  return about && about.away <= nearest.away + length * AS_NEAR ? about.s : s;
}

/**
 * Writes the place at a distance on an arc; past the ends of an open one it is the end, or straight on from there.
 * @param s field units, from anywhere
 */
export function writeBeyond(
  measure: ArcMeasure,
  arc: Pick<Arc, 'points'>,
  s: number,
  carriesOn: boolean,
  at: PointBuffer,
): void {
  const over = measure.closed ? 0 : s < 0 ? s : Math.max(0, s - measure.length);
  writePoint(measure, s, arc.points[0], at, over > 0 ? 'arriving' : 'leaving');
  if (over === 0 || !carriesOn) return;
  const radians = (at.headingDeg * Math.PI) / 180;
  at.x += over * Math.cos(radians);
  at.y += over * Math.sin(radians);
}

function riderTravel(
  rider: Rider,
  leader: Leader,
  since: Int32Array,
  arcs: readonly Arc[],
  field: Pick<Field, 'unitsPerMm'>,
): RiderTravel {
  const { arcDistance, move } = leader;
  const second = rider.arcId === null ? undefined : arcs.find(({ id }) => id === rider.arcId);
  const arc = second ?? leader.arc;
  const measure = measureArc(arc);
  const along = alongFirst(rider, leader, since);
  const distanceOn = second ? alongSecond(rider, leader, second, along) : along;
  const at = pointBuffer();
  const write = (i: number): void =>
    writeBeyond(measure, arc, distanceOn(i), rider.pastEnds === 'straight', at);
  const blended = together(() => {
    const distances = arcDistance.map((_, i) => distanceOn(i));
    const snaps = arcDistance.map((_, i) => {
      write(i);
      return at.headingDeg;
    });
    return blendedDirection(measure, move.cornerFrames, distances, snaps, measure.length * SAME, false);
  });
  const sits = rider.rides === 'looks';
  const isOff = rider.offset.x !== 0 || rider.offset.y !== 0;
  return {
    rider,
    arc,
    distanceOn,
    height: heightInField(rider, field),
    placeOn: (i) => {
      // Working out all of them together writes over the place.
      const blendedDeg = move.cornerFrames > 1 ? blended(i) : null;
      write(i);
      const directionDeg = blendedDeg ?? at.headingDeg;
      const by = isOff ? offsetInField(rider.offsetIn, rider.offset, directionDeg) : NO_OFFSET;
      return {
        pivotX: (sits ? leader.pivotX[i]! : at.x) + by.x,
        pivotY: (sits ? leader.pivotY[i]! : at.y) + by.y,
        directionDeg,
        headingDeg: (rider.turnsWithArc ? directionDeg : 0) + rider.correctionDeg,
      };
    },
  };
}

export function evaluateRiders(
  leader: Leader,
  arcs: readonly Arc[],
  field: Pick<Field, 'unitsPerMm'>,
): readonly RiderTravel[] {
  const { riders } = leader.move;
  if (riders.length === 0) return NO_RIDERS;
  const since = standsSince(leader);
  return riders.map((rider) => riderTravel(rider, leader, since, arcs, field));
}

/** Which of its drawings a rider shows on a planned frame, from 1, or 0 for none: a cycle of its figure goes for it, too. */
export function drawingOfRider(
  { rider, distanceOn }: RiderTravel,
  { move, arcDistance }: Pick<Travel, 'move' | 'arcDistance'>,
  frame: number,
): number {
  if (drawingCount(rider) === 1) return 1;
  const { length: lastFrame } = arcDistance;
  const own = { drawings: [], cycle: move.cycle };
  const distanceOnFrame = (f: number): number => distanceOn(Math.min(lastFrame, Math.max(1, f)) - 1);
  return drawingOn({ move: own, figure: rider, distanceOn: distanceOnFrame, lastFrame }, frame);
}

/** A spot on the way of a rider that is nearest to a distance, for its distance from the figure. @returns wrapped on a closed arc */
export const distanceAhead = (
  { arc, arcLength, arcDistance }: Pick<Travel, 'arc' | 'arcLength' | 'arcDistance'>,
  frame: number,
  s: number,
): number => {
  const ahead = s - arcDistance[Math.min(arcDistance.length, Math.max(1, frame)) - 1]!;
  if (!arc.closed || arcLength === 0) return ahead;
  return (wrapDeg((ahead / arcLength) * 360) / 360) * arcLength;
};
