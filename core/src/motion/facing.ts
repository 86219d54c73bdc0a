import { curvatureAtDistance } from '../arc/arcMeasure';
import { wrapDeg } from '../arc/vector';
import type { Arc, Field, Move, Shot } from '../model/schema';

/** What of a shot the lean of a figure depends on besides its travel. */
export type LeanUnits = Pick<Field, 'unitsPerMm'> & Pick<Shot, 'rate'>;

/** Gravity, metres per second squared (ISO 80000-3, standard acceleration of free fall). */
const GRAVITY = 9.80665;

/** Values smoothed by centred triangular weights over some frames; at the ends the outermost value goes on. */
export function smoothed(values: Float64Array, frames: number): Float64Array {
  const reach = Math.floor(frames / 2);
  if (reach < 1) return values;
  const last = values.length - 1;
  const total = (reach + 1) ** 2;
  return values.map((_, i) => {
    let sum = 0;
    for (let k = -reach; k <= reach; k++)
      sum += (reach + 1 - Math.abs(k)) * values[Math.min(last, Math.max(0, i + k))]!;
    return sum / total;
  });
}

/** Whether it travels backwards along the arc on each frame; through a hold as before it, at first as it leaves. */
function isBackwards(arcDistance: Float64Array, same: number): (i: number) => boolean {
  const signs = new Int8Array(arcDistance.length);
  for (let i = 1; i < signs.length; i++) {
    const step = arcDistance[i]! - arcDistance[i - 1]!;
    signs[i] = step > same ? 1 : step < -same ? -1 : signs[i - 1]!;
  }
  const first = signs.find((sign) => sign !== 0) ?? 1;
  return (i) => (signs[i] || first) < 0;
}

/** The short way round; of two that are equally short the one that undoes what was wound up. */
function shortWay(turnDeg: number, wound: number): number {
  const short = wrapDeg(turnDeg);
  return Math.abs(Math.abs(short) - 180) < 1e-9 ? (wound > 0 ? -180 : 180) : short;
}

/**
 * Where a figure that turns with its arc faces, degrees, unwrapped: along the arc, or the way it travels, turned the
 * short way round where it goes back; smoothed.
 * @param direction of the arc on each frame, unwrapped, degrees
 * @param same places closer than this are one, field units
 */
export function facingOf(
  { backwards, smoothFrames }: Pick<Move, 'backwards' | 'smoothFrames'>,
  arcDistance: Float64Array,
  direction: Float64Array,
  same: number,
): Float64Array {
  if (backwards === 'keeps') return smoothed(direction, smoothFrames);
  const isBack = isBackwards(arcDistance, same);
  let about = 0;
  const facing = direction.map((degrees, i) => {
    const flip = isBack(i) ? 180 : 0;
    // Only where it turns back is the way round chosen; in between it follows the arc through any number of turns.
    if (i === 0) about = flip;
    else if (isBack(i) !== isBack(i - 1)) {
      const before = direction[i - 1]! + about;
      about = before + shortWay(degrees + flip - before, about) - degrees;
    }
    return degrees + about;
  });
  return smoothed(facing, smoothFrames);
}

/** Speed squared times curvature on each frame, signed as the curvature, in 1 over field units and frames squared. */
function pullOf(arc: Arc, arcDistance: Float64Array): Float64Array {
  const last = arcDistance.length - 1;
  return arcDistance.map((s, i) => {
    const [a, b] = [Math.max(0, i - 1), Math.min(last, i + 1)];
    const speed = b > a ? (arcDistance[b]! - arcDistance[a]!) / (b - a) : 0;
    return speed === 0 ? 0 : speed * speed * curvatureAtDistance(arc, s);
  });
}

/**
 * How far a figure leans into the bends on each frame, degrees, positive clockwise as seen, which is to the inside of a
 * bend that turns clockwise. By most degrees: most · v²κ / max |v²κ|. Physical: atan(v²κ / g), with the field's scale.
 * @returns null where it does not lean
 */
export function leanOf(
  { lean }: Pick<Move, 'lean'>,
  arc: Arc,
  arcDistance: Float64Array,
  { rate, unitsPerMm }: LeanUnits,
): Float64Array | null {
  if (lean.by === 'none') return null;
  const pull = pullOf(arc, arcDistance);
  if (lean.by === 'physics') {
    if (unitsPerMm === null) return null;
    // Field units a frame squared, over field units, as metres a second squared.
    const acceleration = (rate * rate) / (unitsPerMm * 1000);
    return smoothed(
      pull.map((value) => (Math.atan((value * acceleration) / GRAVITY) * 180) / Math.PI),
      lean.smoothFrames,
    );
  }
  const most = pull.reduce((largest, value) => Math.max(largest, Math.abs(value)), 0);
  if (most === 0) return null;
  return smoothed(
    pull.map((value) => (lean.mostDeg * value) / most),
    lean.smoothFrames,
  );
}
