import { type ArcMeasure, curvatureAtDistance } from '../arc/arcMeasure';
import { wrapDeg } from '../arc/vector';
import type { Arc, Field, Move, Shot } from '../model/schema';

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

/** A heading is a corner's when it turns by more than this there, degrees. */
const MIN_CORNER_DEG = 1e-6;

interface Corner {
  readonly s: number;
  readonly turnDeg: number;
}

function cornersOf({ segments, headingOffsetDeg, startDistance, closed }: ArcMeasure): Corner[] {
  const solid = segments.flatMap((table, i) =>
    table.length > 0
      ? [
          {
            s: startDistance[i]!,
            from: table.headingDeg[0]! + headingOffsetDeg[i]!,
            to: table.headingDeg[table.headingDeg.length - 1]! + headingOffsetDeg[i]!,
          },
        ]
      : [],
  );
  return solid
    .map(({ s, from }, i): Corner => {
      const before = solid[i - 1] ?? (closed ? solid[solid.length - 1]! : null);
      return { s, turnDeg: before ? wrapDeg(from - before.to) : 0 };
    })
    .filter(({ turnDeg }) => Math.abs(turnDeg) > MIN_CORNER_DEG);
}

function countBelow(rising: readonly Corner[], value: number): number {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]!.s < value) low = middle + 1;
    else high = middle;
  }
  return low;
}

function blendSeam(
  blended: Float64Array,
  corners: readonly Corner[],
  arcDistance: Float64Array,
  cornerFrames: number,
  same: number,
): void {
  const count = blended.length;
  const start = corners.find(({ s }) => Math.abs(s - arcDistance[0]!) <= same);
  const isForward = arcDistance[1]! > arcDistance[0]! && arcDistance[count - 1]! > arcDistance[count - 2]!;
  if (!start || !isForward) return;
  for (let k = 0; k <= Math.min(count - 1, cornerFrames / 2); k++) {
    const rest = start.turnDeg * (0.5 - k / cornerFrames);
    blended[k]! -= rest;
    if (k > 0) blended[count - k]! += rest;
  }
}

/**
 * The direction of the arc under a figure, degrees, unwrapped, with corners that are gone over within some frames:
 * evenly by angle, the short way round, centred on the moment at which the corner is passed. A corner that it stops on
 * is passed as it leaves.
 * @param direction of the arc on each frame, as it snaps at corners; it is what comes back where nothing blends
 * @param same places closer than this are one, field units
 * @param loops whether the frame after the last one is the first one again
 */
export function blendedDirection(
  measure: ArcMeasure,
  cornerFrames: number,
  arcDistance: Float64Array,
  direction: Float64Array,
  same: number,
  loops: boolean,
): Float64Array {
  const corners = cornerFrames > 1 ? cornersOf(measure) : [];
  if (corners.length === 0) return direction;
  const { length, closed } = measure;
  /** How many corners lie behind a place, laps counted; one that it stands on counts as behind when it is left. */
  const passedAt = (s: number): number => {
    const lap = closed ? Math.floor(s / length) : 0;
    return lap * corners.length + countBelow(corners, s - lap * length);
  };
  const cornerOf = (order: number): Corner => {
    const lap = Math.floor(order / corners.length);
    const { s, turnDeg } = corners[order - lap * corners.length]!;
    return { s: s + lap * length, turnDeg };
  };
  const blended = direction.slice();
  const half = cornerFrames / 2;
  /** @param at index of the moment, real; it turns by `turnDeg` there */
  const blend = (at: number, turnDeg: number, isTurnedAt: (i: number) => boolean): void => {
    for (let i = Math.max(0, Math.ceil(at - half)); i <= Math.min(blended.length - 1, at + half); i++) {
      const share = (i - at) / cornerFrames + 0.5;
      blended[i]! += turnDeg * (share - (isTurnedAt(i) ? 1 : 0));
    }
  };
  /** Which way it went last, and whether it stood still since. */
  let [came, stoodStill] = [0, false];
  for (let i = 1; i < arcDistance.length; i++) {
    const [from, to] = [arcDistance[i - 1]!, arcDistance[i]!];
    if (Math.abs(to - from) <= same) {
      stoodStill = true;
      continue;
    }
    const sign = Math.sign(to - from);
    // Corners between, and the one that it stood on before; one that it comes to is for the next step.
    const [low, high] = sign > 0 ? [from - same, to - same] : [to + same, from + same];
    for (let order = passedAt(low); order < passedAt(high); order++) {
      const { s, turnDeg } = cornerOf(order);
      const stoodOnIt = Math.abs(s - from) <= same;
      // One that it began on, or turned back on, was not passed.
      if (stoodOnIt && came !== sign) continue;
      const at = stoodOnIt ? i - 1 : i - 1 + (s - from) / (to - from);
      const turnsFrom = stoodOnIt && sign > 0 && !stoodStill ? i - 1 : i;
      blend(at, sign * turnDeg, (k) => k >= turnsFrom);
    }
    [came, stoodStill] = [sign, false];
  }
  if (loops) blendSeam(blended, corners, arcDistance, cornerFrames, same);
  return blended;
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
