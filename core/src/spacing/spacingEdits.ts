import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Move, Shot } from '../model/schema';
import { exposuresOf } from '../exposure/exposures';
import { evaluateMove } from '../motion/evaluate';
import { fractionAt } from '../timing/placeInTime';
import {
  spanArrivingAt,
  spanKnots,
  type SpanKnots,
  spanDisplacement,
  withShares,
} from '../exposure/spanKnots';

/** How much of a tick's shift a neighbour takes: all at no distance, none from the reach on, soft at both ends. */
function taken(away: number, reach: number): number {
  if (away === 0) return 1;
  return away >= reach ? 0 : Math.cos((Math.PI / 2) * (away / reach)) ** 2;
}

/** The furthest that ticks can be shifted by their weights without one passing its neighbour. */
function withoutPassing(shares: readonly number[], weights: readonly number[], by: number): number {
  let most = Math.abs(by);
  for (let k = 0; k + 1 < shares.length; k++) {
    const gap = shares[k + 1]! - shares[k]!;
    const closes = Math.sign(by) * (weights[k]! - weights[k + 1]!);
    if (gap >= 0 && closes > 0) most = Math.min(most, gap / closes);
  }
  return Math.sign(by) * most;
}

/**
 * The move with the tick of an exposure at another place; its neighbours flow with it, the less the further
 * they are. The marks stay, and no tick passes another one.
 * @param frame of an exposure between two marks
 * @param fraction where it is to be, share of the arc
 * @param reachFrames how many frames to both sides go along, ≥ 0
 * @throws ShotError `out-of-range` on a mark or in a hold
 */
export function withTickAt(
  move: Move,
  shot: Pick<Shot, 'lengthFrames'>,
  { frame, fraction, reachFrames }: { frame: number; fraction: number; reachFrames: number },
): Move {
  const index = spanArrivingAt(move, frame);
  const knots = spanKnots(move, shot, index);
  const at = knots.frames.indexOf(frame);
  if (at <= 0 || at === knots.frames.length - 1)
    throw outOfRange(sentenceWith`There is no tick between two marks on frame ${frameName(frame)}.`);
  const [first, last] = [knots.frames[0]!, knots.frames[knots.frames.length - 1]!];
  const weights = knots.frames.map((f) =>
    taken(Math.abs(f - frame), Math.min(reachFrames, f < frame ? frame - first : last - frame)),
  );
  const wanted = (fraction - move.marks[index]!.fraction) / spanDisplacement(move, index) - knots.shares[at]!;
  const by = withoutPassing(knots.shares, weights, wanted);
  return withShares(
    move,
    knots,
    knots.shares.map((share, k) => share + by * weights[k]!),
  );
}

const restSpread = (shares: readonly number[], at: number, share: number): number[] =>
  shares.map((before, k) => {
    if (k < at) return before;
    const left = 1 - shares[at]!;
    const part =
      Math.abs(left) > 1e-12 ? (1 - before) / left : (shares.length - 1 - k) / (shares.length - 1 - at);
    return 1 - part * (1 - share);
  });

const startSpread = (shares: readonly number[], at: number, share: number): number[] =>
  shares.map((before, k) => {
    if (k > at) return before;
    const part = Math.abs(shares[at]!) > 1e-12 ? before / shares[at]! : k / at;
    return part * share;
  });

interface Increment {
  readonly frame: number;
  readonly increment: number;
}

function exposureBefore(move: Move, shot: Pick<Shot, 'lengthFrames'>, frame: number): number {
  const exposures = exposuresOf(move, shot);
  const i = exposures.findIndex((exposure) => exposure.frame === frame);
  if (i < 1)
    throw outOfRange(
      sentenceWith`No increment leads to frame ${frameName(frame)}: outside its marks the figure doesn’t move. Add a mark there first.`,
    );
  return exposures[i - 1]!.frame;
}

function wantedPlace(shot: Shot, move: Move, { frame, increment }: Increment): number {
  const before = exposureBefore(move, shot, frame);
  const { arcDistance, arcLength } = evaluateMove(shot, move);
  if (arcLength === 0) throw outOfRange('The arc has no length.');
  return arcDistance[before - 1]! / arcLength + increment;
}

/**
 * The move with another increment to an exposure, the marks staying where they are: what follows up to the
 * next mark adapts in proportion; where that mark is what the increment leads to, what comes before does.
 * @throws ShotError `out-of-range` when it leads past the next mark or nothing is left to adapt
 */
export function withIncrementAdapted(move: Move, shot: Shot, asked: Increment): Move {
  const knots = spanKnots(move, shot, spanArrivingAt(move, asked.frame));
  const { index, frames, shares } = knots;
  const share =
    (wantedPlace(shot, move, asked) - move.marks[index]!.fraction) / spanDisplacement(move, index);
  const at = frames.indexOf(asked.frame);
  const end = frames.length - 1;
  if (at > 0 && at < end) {
    if (share > 1 + 1e-12)
      throw outOfRange(
        sentenceWith`That leads past the mark on frame ${frameName(frames[end]!)}. Type less, or move the end.`,
      );
    return withShares(move, knots, restSpread(shares, at, share));
  }
  if (end < 2)
    throw outOfRange('There is only this one increment between these marks. Move the end instead.');
  const left = 1 - asked.increment / spanDisplacement(move, index);
  if (left < -1e-12) throw outOfRange('That’s more than the whole distance. Type less, or move the end.');
  return withShares(move, knots, startSpread(shares, end - 1, left));
}

/**
 * The move with another increment to an exposure, all after it keeping theirs: the next marks move along
 * the arc by the difference.
 * @throws ShotError `out-of-range` when that leads off an open arc, or a mark there is tied to a point
 */
export function withIncrementPushing(move: Move, shot: Shot, asked: Increment, isClosed: boolean): Move {
  const index = spanArrivingAt(move, asked.frame);
  const knots = spanKnots(move, shot, index);
  const by = wantedPlace(shot, move, asked) - fractionAt(move, asked.frame);
  const displacement = spanDisplacement(move, index);
  if (Math.abs(displacement + by) < 1e-9) throw outOfRange('Nothing would be left of this span.');
  const later = move.marks.slice(index + 1);
  const tied = later.find(({ pointId }) => pointId !== null);
  if (tied)
    throw outOfRange(
      sentenceWith`The mark on frame ${frameName(tied.frame)} is tied to a point of the arc. Untie it first.`,
    );
  const beyond = later.find(({ fraction }) => fraction + by > 1 + 1e-9 || fraction + by < -1e-9);
  if (beyond && !isClosed)
    throw outOfRange(
      sentenceWith`The arc is too short for that: the mark on frame ${frameName(beyond.frame)} would leave it.`,
    );
  const at = knots.frames.findIndex((frame) => frame >= asked.frame);
  const spread = withShares(
    move,
    knots,
    knots.shares.map((share, k) => (share * displacement + (k >= at ? by : 0)) / (displacement + by)),
  );
  return {
    ...spread,
    marks: spread.marks.map((mark, i) =>
      i > index
        ? { ...mark, fraction: isClosed ? mark.fraction + by : Math.min(1, Math.max(0, mark.fraction + by)) }
        : mark,
    ),
  };
}

/** Increments of which some are given and the others share what is left of the whole, which is 1. */
function shared(steps: readonly number[], given: ReadonlyMap<number, number>, latest: number): number[] {
  const fixed = new Map([...given].map(([k, value]) => [k, Math.max(0, value)]));
  const own = Math.min(1, fixed.get(latest) ?? 0);
  const sum = [...fixed].reduce((total, [k, value]) => (k === latest ? total : total + value), 0);
  const free = steps.reduce((total, step, k) => (fixed.has(k) ? total : total + Math.max(0, step)), 0);
  const freeCount = steps.length - fixed.size;
  // What was drawn last holds; the rest gives way, what nobody drew first.
  const forFree = Math.max(0, 1 - own - sum);
  const squeeze = sum > 0 && (freeCount === 0 || own + sum > 1) ? (1 - own) / sum : 1;
  return steps.map((step, k) => {
    if (k === latest) return fixed.size === steps.length && sum === 0 ? 1 : own;
    if (fixed.has(k)) return fixed.get(k)! * squeeze;
    return free > 0 ? (Math.max(0, step) / free) * forFree : forFree / freeCount;
  });
}

const stepsOf = ({ shares }: SpanKnots): number[] => shares.slice(1).map((share, k) => share - shares[k]!);

/**
 * The move with some increments of a span drawn by hand, the whole way staying: the others share what is
 * left in proportion. What was drawn last holds when there is not enough for all.
 * @param drawn frames of exposures and the increments that lead to them, share of the arc, ≥ 0, the latest last
 * @throws ShotError `out-of-range` in a hold
 */
export function withSpacingDrawn(
  move: Move,
  shot: Pick<Shot, 'lengthFrames'>,
  index: number,
  drawn: readonly (readonly [frame: number, increment: number])[],
): Move {
  const knots = spanKnots(move, shot, index);
  const displacement = Math.abs(spanDisplacement(move, index));
  const exposures = exposuresOf(move, shot).map(({ frame }) => frame);
  const [start, begins] = [knots.frames[0]!, move.marks[index]!.fraction];
  const given = new Map<number, number>();
  let latest = -1;
  for (const [frame, increment] of drawn) {
    const k = knots.frames.findIndex((f) => f >= frame) - 1;
    if (k < 0) continue;
    // An increment that begins before the mark has a part of it behind already.
    const before = exposures.filter((f) => f < frame).pop() ?? start;
    const behind = before < start ? Math.abs(begins - fractionAt(move, before)) : 0;
    given.delete(k);
    given.set(k, Math.max(0, increment - behind) / displacement);
    latest = k;
  }
  if (latest < 0) return move;
  let share = 0;
  const shares = shared(stepsOf(knots), given, latest).map((step) => (share += step));
  return withShares(move, knots, [0, ...shares.slice(0, -1), 1]);
}
