import type { Arc, Move, Shot } from '../model/schema';
import { evaluateMove, type Travel } from '../motion/evaluate';
import { type Exposure, exposuresOf } from '../exposure/exposures';
import { incrementTable, readingUnits, type SkippedRow, skippedRows } from './increments';
import { fifthsOf } from './ticks';

export interface Post {
  readonly markIds: readonly string[];
  readonly frames: readonly number[];
  readonly frame: number;
  /** Last frame of the hold; the same as `frame` when there is none. */
  readonly untilFrame: number;
  readonly arcDistance: number;
  readonly kind: 'stop' | 'pass';
  readonly label: string;
}

export interface RulerTick {
  readonly frame: number;
  readonly arcDistance: number;
  /** Increment from the tick before, signed; null for the first. */
  readonly along: number | null;
  /** As on the field: see `Tick`. */
  readonly isFifth: boolean;
  readonly isByHand: boolean;
}

export interface UnrolledArc {
  readonly units: 'field' | 'mm';
  readonly length: number;
  /** What the ruler has to show: the whole arc, and any laps beyond it. */
  readonly from: number;
  readonly to: number;
  readonly ticks: readonly RulerTick[];
  /** Round a closed arc the place at which the loop begins anew; null where it does not. */
  readonly closing: RulerTick | null;
  readonly skipped: readonly SkippedRow[];
  /** As many ticks at constant speed, for comparison; none for a move that turns back on the way. */
  readonly even: readonly number[];
  readonly posts: readonly Post[];
}

function postsOf(move: Move, length: number): Post[] {
  const posts: Post[] = [];
  for (const { id, frame, fraction, kind, label } of move.marks) {
    const arcDistance = fraction * length;
    const before = posts[posts.length - 1];
    if (before && before.arcDistance === arcDistance)
      posts[posts.length - 1] = {
        ...before,
        markIds: [...before.markIds, id],
        frames: [...before.frames, frame],
        untilFrame: frame,
        label: before.label || label,
      };
    else
      posts.push({
        markIds: [id],
        frames: [frame],
        frame,
        untilFrame: frame,
        arcDistance,
        kind,
        label,
      });
  }
  return posts;
}

/** The ticks last found on an arc: those that stay as they are stay the same objects. */
const lastOn = new WeakMap<Arc, readonly RulerTick[]>();

function ticksOn(
  { move, arc, arcDistance }: Travel,
  exposures: readonly Exposure[],
  perUnit: number,
): RulerTick[] {
  const byHand = new Set(move.overrides.map(({ frame }) => frame));
  const isFifth = fifthsOf(move);
  const last = lastOn.get(arc);
  let before: number | null = null;
  const ticks = exposures.map(({ frame }, index) => {
    const here = arcDistance[frame - 1]! * perUnit;
    const along = before === null ? null : here - before;
    before = here;
    const tick = last?.[index];
    const isKnown =
      tick?.frame === frame &&
      tick.arcDistance === here &&
      tick.along === along &&
      tick.isFifth === isFifth(frame, index) &&
      tick.isByHand === byHand.has(frame);
    return isKnown
      ? tick
      : { frame, arcDistance: here, along, isFifth: isFifth(frame, index), isByHand: byHand.has(frame) };
  });
  lastOn.set(arc, ticks);
  return ticks;
}

function evenPlaces(ticks: readonly RulerTick[]): number[] {
  const first = ticks[0]!.arcDistance;
  const step = (ticks[ticks.length - 1]!.arcDistance - first) / Math.max(1, ticks.length - 1);
  return ticks.map((_, i) => first + step * i);
}

function build(shot: Shot, move: Move): UnrolledArc {
  const travel = evaluateMove(shot, move);
  const { units, perUnit } = readingUnits(shot);
  const length = travel.arcLength * perUnit;
  const ticks = ticksOn(travel, exposuresOf(move, shot), perUnit);
  const posts = postsOf(move, length);
  const { closing } = incrementTable(shot, move);
  let [from, to, goesOn, turnsBack] = [0, length, false, false];
  for (const { arcDistance, along } of ticks) {
    from = Math.min(from, arcDistance);
    to = Math.max(to, arcDistance);
    goesOn ||= along !== null && along > 0;
    turnsBack ||= along !== null && along < 0;
  }
  for (const { arcDistance } of posts) {
    from = Math.min(from, arcDistance);
    to = Math.max(to, arcDistance);
  }
  return {
    units,
    length,
    from,
    to,
    ticks,
    closing: closing && {
      frame: closing.frame,
      arcDistance: closing.arcDistance,
      along: closing.along,
      isFifth: false,
      isByHand: false,
    },
    skipped: skippedRows(shot, travel),
    even: goesOn && turnsBack ? [] : evenPlaces(ticks),
    posts,
  };
}

const known = new WeakMap<Move, { readonly shot: Shot; readonly ruler: UnrolledArc }>();

/** What the ruler shows of a move. Remembered until the shot changes. */
export function unrolledArc(shot: Shot, move: Move): UnrolledArc {
  const before = known.get(move);
  if (before?.shot === shot) return before.ruler;
  const ruler = build(shot, move);
  known.set(move, { shot, ruler });
  return ruler;
}
