import { type ArcMeasure, measureArc, type PointBuffer, pointBuffer, writePoint } from '../arc/arcMeasure';
import { nearestAbout } from '../arc/nearestPoint';
import { wrapDeg } from '../arc/vector';
import type { Arc, Field, Rider } from '../model/schema';
import type { Travel } from './evaluate';
import { blendedDirection } from './facing';
import { drawingCount, drawingOn, heightInField } from './look';
import { offsetInField } from './offset';

/** A rider, worked out for every frame of its shot: index 0 is frame 1. */
export interface RiderTravel {
  readonly rider: Rider;
  /** The arc that it is on. */
  readonly arc: Arc;
  /** Distance from the start of that arc, field units; it may lie past the ends. */
  readonly arcDistance: Float64Array;
  /** Where its pivot stands, field units. */
  readonly pivotX: Float64Array;
  readonly pivotY: Float64Array;
  /** Direction of the arc there in degrees, clockwise as seen, unwrapped. */
  readonly direction: Float64Array;
  /** How it is turned, degrees clockwise as seen, continuous. */
  readonly heading: Float64Array;
  /** Its height where the figure is 100 %, field units. */
  readonly height: number;
}

/** What riders need of the travel that they follow. */
export type Leader = Pick<
  Travel,
  'move' | 'arc' | 'figure' | 'arcLength' | 'arcDistance' | 'pivotX' | 'pivotY'
>;

/** Two distances closer than this share of an arc are the same. */
const SAME = 1e-12;

/**
 * A spot on a second arc is looked for about the one of the frame before: twice as far as the first one moved, and this
 * share of the arc besides.
 */
const NEARBY = 0.1;

/** Distances along the figure's arc: ahead of it or behind, or where it was some frames before. */
function writeDistances({ follows }: Rider, { arcDistance }: Leader, out: Float64Array): void {
  const last = arcDistance.length - 1;
  if (follows.by === 'distance') for (let i = 0; i <= last; i++) out[i] = arcDistance[i]! + follows.distance;
  else for (let i = 0; i <= last; i++) out[i] = arcDistance[Math.min(last, Math.max(0, i - follows.frames))]!;
}

/** Distances along a second arc that belong to distances along the first. */
function onSecondArc(rider: Rider, leader: Leader, second: Arc, distances: Float64Array): Float64Array {
  const length = measureArc(second).length;
  if (rider.onSecond === 'share') {
    const share = leader.arcLength > 0 ? length / leader.arcLength : 0;
    return distances.map((s) => s * share);
  }
  const first = measureArc(leader.arc);
  const at = pointBuffer();
  let before: number | null = null;
  return distances.map((s, i) => {
    writePoint(first, s, leader.arc.points[0], at);
    const moved = i > 0 ? Math.abs(s - distances[i - 1]!) : 0;
    const reach = before === null ? length : length * NEARBY + 2 * moved;
    before = nearestAbout(second, at, before ?? length / 2, reach)?.s ?? before ?? 0;
    return before;
  });
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

/** Writes places and directions on an arc for all frames. */
function writeOnArc(
  measure: ArcMeasure,
  arc: Arc,
  distances: Float64Array,
  carriesOn: boolean,
  out: { readonly x: Float64Array; readonly y: Float64Array; readonly direction: Float64Array },
): void {
  const at = pointBuffer();
  const { x, y, direction } = out;
  const same = measure.length * SAME;
  for (let i = 0; i < distances.length; i++) {
    const s = distances[i]!;
    if (i > 0 && Math.abs(s - distances[i - 1]!) <= same) {
      x[i] = x[i - 1]!;
      y[i] = y[i - 1]!;
      direction[i] = direction[i - 1]!;
      continue;
    }
    writeBeyond(measure, arc, s, carriesOn, at);
    x[i] = at.x;
    y[i] = at.y;
    direction[i] = at.headingDeg;
  }
}

function workOut(
  rider: Rider,
  leader: Leader,
  arcs: readonly Arc[],
  field: Pick<Field, 'unitsPerMm'>,
): RiderTravel {
  const count = leader.arcDistance.length;
  const second = rider.arcId === null ? undefined : arcs.find(({ id }) => id === rider.arcId);
  const arc = second ?? leader.arc;
  const measure = measureArc(arc);
  // One block for all of it: of hundreds of riders the memory is what takes time.
  const block = new Float64Array(4 * count);
  const [along, x, y, snaps] = [0, 1, 2, 3].map((k) => block.subarray(k * count, (k + 1) * count)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  writeDistances(rider, leader, along);
  const arcDistance = second ? onSecondArc(rider, leader, second, along) : along;
  writeOnArc(measure, arc, arcDistance, rider.pastEnds === 'straight', { x, y, direction: snaps });
  const { cornerFrames } = leader.move;
  const direction = blendedDirection(measure, cornerFrames, arcDistance, snaps, measure.length * SAME, false);
  const sits = rider.rides === 'looks';
  const pivotX = sits ? leader.pivotX.slice() : x;
  const pivotY = sits ? leader.pivotY.slice() : y;
  if (rider.offset.x !== 0 || rider.offset.y !== 0)
    for (let i = 0; i < count; i++) {
      const by = offsetInField(rider.offsetIn, rider.offset, direction[i]!);
      pivotX[i]! += by.x;
      pivotY[i]! += by.y;
    }
  const heading = rider.turnsWithArc
    ? rider.correctionDeg === 0
      ? direction
      : direction.map((deg) => deg + rider.correctionDeg)
    : new Float64Array(count).fill(rider.correctionDeg);
  return { rider, arc, arcDistance, pivotX, pivotY, direction, heading, height: heightInField(rider, field) };
}

interface Known {
  readonly arcDistance: Float64Array;
  readonly pivotX: Float64Array;
  readonly arc: Arc;
  readonly second: Arc | undefined;
  readonly cornerFrames: number;
  readonly unitsPerMm: number | null;
  readonly travel: RiderTravel;
}

const travels = new WeakMap<Rider, Known>();

/**
 * The riders of a travel, worked out, in the order of their move. Each is remembered until something changes that it
 * depends on: s(f) + d ahead or behind by distance, s(f − n) by frames.
 */
export function evaluateRiders(
  leader: Leader,
  arcs: readonly Arc[],
  field: Pick<Field, 'unitsPerMm'>,
): readonly RiderTravel[] {
  const { arcDistance, pivotX, arc, move } = leader;
  const { unitsPerMm } = field;
  return move.riders.map((rider) => {
    const second = rider.arcId === null ? undefined : arcs.find(({ id }) => id === rider.arcId);
    const known = travels.get(rider);
    const isKnown =
      known?.arcDistance === arcDistance &&
      known.pivotX === pivotX &&
      known.arc === arc &&
      known.second === second &&
      known.cornerFrames === move.cornerFrames &&
      known.unitsPerMm === unitsPerMm;
    if (isKnown) return known.travel;
    const travel = workOut(rider, leader, arcs, field);
    travels.set(rider, {
      arcDistance,
      pivotX,
      arc,
      second,
      cornerFrames: move.cornerFrames,
      unitsPerMm,
      travel,
    });
    return travel;
  });
}

/** Which of its drawings a rider shows on a planned frame, from 1, or 0 for none: a cycle of its figure goes for it, too. */
export function drawingOfRider(
  { rider, arcDistance }: RiderTravel,
  { move }: Pick<Travel, 'move'>,
  frame: number,
): number {
  if (drawingCount(rider) === 1) return 1;
  const distanceOn = (f: number): number => arcDistance[Math.min(arcDistance.length, Math.max(1, f)) - 1]!;
  const own = { drawings: [], cycle: move.cycle };
  return drawingOn({ move: own, figure: rider, distanceOn, lastFrame: arcDistance.length }, frame);
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
