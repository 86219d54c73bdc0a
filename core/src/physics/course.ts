import { measureArc } from '../arc/arcMeasure';
import { nearestPoint } from '../arc/nearestPoint';
import { shapePoints } from '../arc/readyShapes';
import type { Vector } from '../arc/vector';
import { withIds } from '../arc/wholeArc';
import { outOfRange } from '../model/errors';
import type { Arc, ReadyShape } from '../model/schema';
import { fallSeconds, hits } from './falling';
import { GRAVITY, metres, millimetres } from './gravity';
import { angleAt, turns } from './pendulum';
import { rolledAt, rollSeconds, type Rolls } from './rolling';

export interface PhysicalOptions {
  /** The share of the swing that a pendulum loses in each full swing, 0 to below 1. */
  readonly damping: number;
  /** Half swings of a pendulum, whole, at least 1. */
  readonly swings: number;
  readonly rolls: Rolls;
}

export interface Impact {
  readonly seconds: number;
  /** Share of the arc. */
  readonly fraction: number;
}

export interface Course {
  readonly moments: readonly Impact[];
  /** Share of the arc, so many seconds after it began. */
  readonly fractionAt: (seconds: number) => number;
}

type ShapeOf<Kind extends ReadyShape['kind']> = Extract<ReadyShape, { kind: Kind }>;

export type PhysicalShape = ShapeOf<'swing'> | ShapeOf<'toss'> | ShapeOf<'bounces'> | ShapeOf<'line'>;

export const isPhysical = (shape: ReadyShape | null): shape is PhysicalShape =>
  shape !== null && ['swing', 'toss', 'bounces', 'line'].includes(shape.kind);

const within = (value: number): number => Math.min(1, Math.max(0, value));

function swinging(
  { length, fromDeg, toDeg }: ShapeOf<'swing'>,
  unitsPerMm: number,
  { damping, swings }: PhysicalOptions,
): Course {
  const side = Math.sign(fromDeg);
  const pendulum = { length: metres(length / unitsPerMm), fromDeg: Math.abs(fromDeg), damping };
  if (pendulum.fromDeg === 0 || pendulum.fromDeg >= 180)
    throw outOfRange('Let a pendulum go at an angle between 0° and 180°.');
  const fraction = (angleDeg: number): number => within((fromDeg - side * angleDeg) / (fromDeg - toDeg));
  return {
    moments: turns(pendulum, swings + 1).map(({ seconds, angleDeg }) => ({
      seconds,
      fraction: fraction(angleDeg),
    })),
    fractionAt: (seconds) => fraction(angleAt(pendulum, seconds)),
  };
}

/** Something thrown, from one moment to the next: steady across, and falling. */
interface Flight {
  readonly until: number;
  readonly at: (seconds: number) => Vector;
}

/**
 * A course of flights, each on a segment of its arc of its own: where the arc is nearest to where it is then.
 * @param arc has a segment for each flight
 * @param hasMark whether a mark stands where a flight ends
 */
function flying(arc: Arc, flights: readonly Flight[], hasMark: (flight: number) => boolean): Course {
  const { startDistance, length } = measureArc(arc);
  const fractionAt = (seconds: number): number => {
    const i = flights.findIndex(({ until }) => seconds < until);
    if (i < 0) return 1;
    const window = [startDistance[i]!, startDistance[i + 1]!] as const;
    return (nearestPoint(arc, flights[i]!.at(seconds), window)?.s ?? window[0]) / length;
  };
  return {
    moments: [
      { seconds: 0, fraction: 0 },
      ...flights.flatMap(({ until }, i) =>
        hasMark(i) ? [{ seconds: until, fraction: startDistance[i + 1]! / length }] : [],
      ),
    ],
    fractionAt,
  };
}

function tossed(shape: ShapeOf<'toss'>, arc: Arc, unitsPerMm: number): Course {
  const { from, to, height } = shape;
  const top = Math.min(from.y, to.y) - height;
  const seconds = (y: number): number => fallSeconds(metres((y - top) / unitsPerMm));
  const [up, down] = [seconds(from.y), seconds(to.y)];
  if (up + down === 0) throw outOfRange('A toss needs a height.');
  const at = (t: number): Vector => ({
    x: from.x + ((to.x - from.x) * t) / (up + down),
    y: top + millimetres((GRAVITY * (t - up) ** 2) / 2) * unitsPerMm,
  });
  const ends = [up, up + down].filter((end) => end > 0);
  return flying(
    arc,
    [...new Set(ends)].map((until) => ({ until, at })),
    () => true,
  );
}

function bouncing(shape: ShapeOf<'bounces'>, arc: Arc, unitsPerMm: number): Course {
  const { from, to, count, restitution } = shape;
  const drop = to.y - from.y;
  if (drop <= 0) throw outOfRange('Something that bounces is dropped from above where it comes to rest.');
  const height = metres(drop / unitsPerMm);
  const ground = hits({ height, restitution }, count + 1);
  const whole = ground[count]!;
  const across = (t: number): number => from.x + ((to.x - from.x) * t) / whole;
  const flights: Flight[] = [
    {
      until: ground[0]!,
      at: (t) => ({ x: across(t), y: from.y + millimetres((GRAVITY * t * t) / 2) * unitsPerMm }),
    },
  ];
  for (let i = 1; i <= count; i++) {
    const [began, end] = [ground[i - 1]!, ground[i]!];
    const middle = (began + end) / 2;
    const top = to.y - drop * restitution ** (2 * i);
    const at = (t: number): Vector => ({
      x: across(t),
      y: top + millimetres((GRAVITY * (t - middle) ** 2) / 2) * unitsPerMm,
    });
    flights.push({ until: middle, at }, { until: end, at });
  }
  return flying(arc, flights, (i) => i % 2 === 0);
}

function rolling({ from, to }: ShapeOf<'line'>, unitsPerMm: number, { rolls }: PhysicalOptions): Course {
  const down = to.y - from.y;
  if (down <= 0) throw outOfRange('A slope goes down from where it begins: move its end below its start.');
  const slope = { steepDeg: (Math.atan2(down, Math.abs(to.x - from.x)) * 180) / Math.PI, rolls };
  const length = metres(Math.hypot(to.x - from.x, down) / unitsPerMm);
  return {
    moments: [
      { seconds: 0, fraction: 0 },
      { seconds: rollSeconds(slope, length), fraction: 1 },
    ],
    fractionAt: (seconds) => rolledAt(slope, length, seconds) / length,
  };
}

function forward(shape: PhysicalShape, arc: Arc, unitsPerMm: number, options: PhysicalOptions): Course {
  const own = { ...arc, points: withIds(shapePoints(shape).points) };
  switch (shape.kind) {
    case 'swing':
      return swinging(shape, unitsPerMm, options);
    case 'toss':
      return tossed(shape, own, unitsPerMm);
    case 'bounces':
      return bouncing(shape, own, unitsPerMm);
    case 'line':
      return rolling(shape, unitsPerMm, options);
  }
}

/**
 * How a ready shape is travelled by what swings, is tossed, bounces, falls or rolls on it.
 * @throws ShotError `out-of-range` where nothing would move
 */
export function courseOn(
  shape: PhysicalShape,
  arc: Arc,
  unitsPerMm: number,
  options: PhysicalOptions,
): Course {
  const course = forward({ ...shape, reversed: false }, arc, unitsPerMm, options);
  if (!shape.reversed) return course;
  return {
    moments: course.moments.map(({ seconds, fraction }) => ({ seconds, fraction: 1 - fraction })),
    fractionAt: (seconds) => 1 - course.fractionAt(seconds),
  };
}
