import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { MAX_MARKS } from '../model/limits';
import { PLAIN_MARK } from '../model/plainTiming';
import type { Mark, Move } from '../model/schema';
import { type FrameMap, withFrameMap } from './frameMap';
import { firstFrame, fractionAt, lastFrame, spanIndexAt } from './placeInTime';
import { splitEasing } from './splitEasing';

/** A part of an arc, as shares of its length. */
export interface PartOfArc {
  readonly from: number;
  readonly to: number;
}

/** When a part of an arc is travelled: real frames. */
export interface PartMoments {
  readonly start: number;
  readonly end: number;
}

/** Nearer than this a place is the one that was asked for, share of the arc. */
const SAME_PLACE = 1e-9;
/** Nearer than this a moment is a mark's, frames. */
const SAME_MOMENT = 1e-6;
const HALVINGS = 60;

const isAt = (move: Move, moment: number, fraction: number): boolean =>
  Math.abs(fractionAt(move, moment) - fraction) < SAME_PLACE;

/** The first moment, from one on, at which a move is at a place; null where it never is. Real frames. */
function momentAt(move: Move, fraction: number, since: number): number | null {
  const last = lastFrame(move);
  for (let frame = since; frame <= last; frame = Math.floor(frame) + 1) {
    if (isAt(move, frame, fraction)) return frame;
    const next = Math.min(last, Math.floor(frame) + 1);
    const isBelow = fractionAt(move, frame) < fraction;
    if (next > frame && fractionAt(move, next) < fraction !== isBelow && !isAt(move, next, fraction)) {
      let [low, high] = [frame, next];
      for (let i = 0; i < HALVINGS; i++) {
        const middle = (low + high) / 2;
        if (fractionAt(move, middle) < fraction === isBelow) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    }
  }
  return null;
}

/** The last frame on which a move that is at a place still is there. */
function leaving(move: Move, moment: number, fraction: number): number {
  let last = moment;
  for (const { frame } of move.marks)
    if (frame > last && isAt(move, frame, fraction) && isAt(move, (last + frame) / 2, fraction)) last = frame;
  return last;
}

/**
 * When a move first travels a part of its arc: from the moment that it leaves its beginning to the one that it reaches
 * its end. Null where it does not pass there. Real frames.
 */
export function partMoments(move: Move, { from, to }: PartOfArc): PartMoments | null {
  const there = momentAt(move, from, firstFrame(move));
  if (there === null) return null;
  const start = leaving(move, there, from);
  const end = momentAt(move, to, start);
  return end === null ? null : { start, end };
}

/** The move with a mark at a moment that may lie between two frames, at a place it has there anyway. */
function withMarkAt(move: Move, moment: number, fraction: number): Move {
  const known = move.marks.findIndex(({ frame }) => Math.abs(frame - moment) < SAME_MOMENT);
  if (known >= 0)
    return { ...move, marks: move.marks.map((mark, i) => (i === known ? { ...mark, fraction } : mark)) };
  if (move.marks.length >= MAX_MARKS) throw outOfRange(`A move has at most ${MAX_MARKS} marks.`);
  const i = spanIndexAt(move, moment);
  const [from, to] = [move.marks[i]!, move.marks[i + 1]!];
  const [before, after] = splitEasing(from.easing, moment - from.frame, to.frame - from.frame);
  const mark: Mark = {
    ...PLAIN_MARK,
    id: freshId('m', move.marks),
    frame: moment,
    fraction,
    kind: 'pass',
    easing: after,
  };
  return {
    ...move,
    marks: [...move.marks.slice(0, i), { ...from, easing: before }, mark, ...move.marks.slice(i + 1)],
  };
}

/** Moments that are sent to others; between two of them time is stretched evenly, outside all of them it shifts. */
function throughPairs(pairs: readonly (readonly [moment: number, frame: number])[]): FrameMap {
  return (frame) => {
    const next = pairs.findIndex(([moment]) => frame <= moment);
    if (next === 0) return Math.max(1, frame + pairs[0]![1] - pairs[0]![0]);
    const [to, from] = [pairs[next], pairs.at(next - 1)!];
    if (next < 0) return frame + from[1] - from[0];
    return from[1] + ((frame - from[0]) * (to![1] - from[1])) / (to![0] - from[0]);
  };
}

export interface PartFrames {
  /** The frame that the part is left behind from on, whole; what is not given stays as it is. */
  readonly start?: number;
  readonly end?: number;
}

/**
 * A move that travels a part of its arc on other frames. The places are kept as they are asked for: marks of their own
 * stand on the frames. Marks within the part are spread over its frames; the spans before it and after it give way.
 * @throws ShotError `out-of-range` where the move does not pass there, or would run into a mark
 */
export function withPartOnFrames(move: Move, part: PartOfArc, { start, end }: PartFrames): Move {
  const moments = partMoments(move, part);
  if (!moments) throw outOfRange('The move doesn’t pass this part of the arc.');
  const wanted = [
    start === undefined ? null : ([moments.start, start, part.from] as const),
    end === undefined ? null : ([moments.end, end, part.to] as const),
  ].filter((one) => one !== null);
  if (wanted.length === 0) return move;
  const [first, last] = [wanted[0]!, wanted.at(-1)!];
  const edged = wanted.reduce((now, [moment, , fraction]) => withMarkAt(now, moment, fraction), move);
  const before = edged.marks.findLast(({ frame }) => frame < first[0] - SAME_MOMENT);
  const after = edged.marks.find(({ frame }) => frame > last[0] + SAME_MOMENT);
  if (start !== undefined && end !== undefined && end <= start)
    throw outOfRange('The part has to end on a later frame than it begins on.');
  if (before && first[1] <= before.frame)
    throw outOfRange(sentenceWith`There is a mark on frame ${frameName(before.frame)}, before it.`);
  if (after && last[1] >= after.frame)
    throw outOfRange(sentenceWith`There is a mark on frame ${frameName(after.frame)}, after it.`);
  const map = throughPairs([
    ...(before ? [[before.frame, before.frame] as const] : []),
    ...wanted.map(([moment, frame]) => [moment, frame] as const),
    ...(after ? [[after.frame, after.frame] as const] : []),
  ]);
  // A moment that is found by halving is off by less than anything that counts, but may round to the frame beside.
  const exact: FrameMap = (frame) =>
    wanted.find(([moment]) => Math.abs(frame - moment) < SAME_MOMENT)?.[1] ?? map(frame);
  return withFrameMap(edged, exact);
}
