import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Mark, Move } from '../model/schema';
import { type FrameMap, isWithin, type RoundedMark, roundedMarks, wholeFrame } from './frameMap';
import { withMarkOn } from './markEdits';

type Marked = Pick<Move, 'marks'>;

/** Some of a move's time: from one frame to another, n = until − from intervals. */
export interface Passage {
  readonly from: number;
  readonly until: number;
}

/** Marks after a passage follow when its length changes, or stay: the span up to the next one gives way then. */
export type Later = 'follow' | 'stay';

const framesOf = ({ from, until }: Passage): number => until - from;

/** @throws ShotError `out-of-range` */
export function checkPassage({ from, until }: Passage): void {
  if (!Number.isInteger(from) || !Number.isInteger(until) || from < 1 || until <= from)
    throw outOfRange('A passage goes from one frame to a later one.');
}

/** The move with a mark on both ends of a passage, as far as it moves there; nothing changes its place. */
export const withEdges = (move: Move, { from, until }: Passage): Move =>
  [from, until].reduce(
    (now, frame) =>
      isWithin(now, frame) && !now.marks.some((mark) => mark.frame === frame) ? withMarkOn(now, frame) : now,
    move,
  );

const markAfter = ({ marks }: Marked, frame: number): Mark | undefined =>
  marks.find((mark) => mark.frame > frame);
const markBefore = ({ marks }: Marked, frame: number): Mark | undefined =>
  marks.findLast((mark) => mark.frame < frame);

/** After a frame that moves by some frames: all follow, or time up to a later frame gives way. */
function after(frame: number, by: number, next: Mark | undefined): FrameMap {
  if (!next) return (f) => f + by;
  const [at, end] = [frame + by, next.frame];
  return (f) => (f < end ? at + ((f - frame) * (end - at)) / (end - frame) : f);
}

/** Before a frame that moves by some frames: time from an earlier mark on gives way, or all comes along. */
function leadingTo(frame: number, by: number, before: Mark | undefined): FrameMap {
  if (!before) return (f) => Math.max(1, f + by);
  const start = before.frame;
  return (f) => (f <= start ? f : start + ((f - start) * (frame + by - start)) / (frame - start));
}

/** The fewest frames, of so many or more, in which all marks of a passage keep apart. */
export function leastFrames({ marks }: Marked, passage: Passage, atLeast = 1): number {
  const { from, until } = passage;
  const inside = marks.map(({ frame }) => frame).filter((frame) => frame > from && frame < until);
  const all = [from, ...inside, until];
  const n = framesOf(passage);
  const isApart = (frames: number): boolean => {
    const landed = all.map((frame) => from + wholeFrame(((frame - from) * frames) / n));
    return landed.every((frame, i) => i === 0 || frame > landed[i - 1]!);
  };
  let frames = Math.max(all.length - 1, atLeast);
  while (frames < n && !isApart(frames)) frames++;
  return frames;
}

/** @throws ShotError `out-of-range` with the least number of frames that works */
function checkFrames(move: Marked, passage: Passage, frames: number): void {
  if (!Number.isInteger(frames) || frames < 1) throw outOfRange('A passage has at least 1 frame.');
  const least = leastFrames(move, passage, frames);
  if (frames < least)
    throw outOfRange(
      `In ${frames === 1 ? '1 frame' : `${frames} frames`} two of its marks would fall on one; ${least} is the least that works.`,
    );
}

/**
 * A passage that ends where it did and begins elsewhere, with as many frames: the span before it gives way.
 * @param move has its edges, see `withEdges`
 * @throws ShotError `out-of-range` as `stretchMap`, or where it would run into the mark before
 */
export function startMap(move: Marked, passage: Passage, frames: number): FrameMap {
  const { from, until } = passage;
  checkFrames(move, passage, frames);
  const before = markBefore(move, from);
  const start = until - frames;
  const least = before ? before.frame + 1 : 1;
  if (start < least)
    throw outOfRange(sentenceWith`The passage can start on frame ${frameName(least)} at the earliest.`);
  const leading = leadingTo(from, start - from, before);
  return (f) => (f < from ? leading(f) : f <= until ? start + ((f - from) * frames) / framesOf(passage) : f);
}

/**
 * A passage in another number of frames: f′ = a + (f − a)·n′/n inside, f + n′ − n after it, where later marks follow.
 * @param move has its edges, see `withEdges`
 * @throws ShotError `out-of-range` with the least number of frames that works, or the most where later marks stay
 */
export function stretchMap(move: Marked, passage: Passage, frames: number, later: Later): FrameMap {
  const { from, until } = passage;
  const n = framesOf(passage);
  checkFrames(move, passage, frames);
  const next = later === 'stay' ? markAfter(move, until) : undefined;
  if (next && from + frames >= next.frame)
    throw outOfRange(
      sentenceWith`The next mark is on frame ${frameName(next.frame)}: where later marks stay the passage can have at most ${next.frame - 1 - from} frames.`,
    );
  const following = after(until, frames - n, next);
  return (f) => (f <= from ? f : f <= until ? from + ((f - from) * frames) / n : following(f));
}

/**
 * A passage later by some frames, or earlier. The span before it gives way, and so does the one after it where later
 * marks stay.
 * @param move has its edges, see `withEdges`
 * @throws ShotError `out-of-range` when it would run into a mark
 */
export function shiftMap(move: Marked, passage: Passage, by: number, later: Later): FrameMap {
  const { from, until } = passage;
  const before = markBefore(move, from);
  const next = later === 'stay' ? markAfter(move, until) : undefined;
  if (!Number.isInteger(by)) throw outOfRange('A passage is shifted by whole frames.');
  if (before && from + by <= before.frame)
    throw outOfRange(
      sentenceWith`The mark before is on frame ${frameName(before.frame)}: the passage can start one frame after it.`,
    );
  if (next && until + by >= next.frame)
    throw outOfRange(
      sentenceWith`The next mark is on frame ${frameName(next.frame)}: the passage can end one frame before it.`,
    );
  const leading = leadingTo(from, by, before);
  const following = after(until, by, next);
  return (f) => (f < from ? leading(f) : f <= until ? f + by : following(f));
}

/**
 * Time put in after a frame, or taken out (negative). The span that the frame is in gives way.
 * @throws ShotError `out-of-range` when marks lie on what is taken out
 */
export function timeMap(move: Marked, at: number, frames: number): FrameMap {
  if (!Number.isInteger(at) || !Number.isInteger(frames))
    throw outOfRange('Only whole frames can be inserted.');
  if (frames >= 0) return (f) => (f <= at ? f : f + frames);
  const until = at - frames;
  const onIt = move.marks.find(({ frame }) => frame > at && frame <= until);
  if (onIt && (onIt.frame < until || move.marks.some(({ frame }) => frame === at)))
    throw outOfRange(
      sentenceWith`There is a mark on frame ${frameName(onIt.frame)}: move it first, or take out less.`,
    );
  return (f) => (f <= at ? f : f <= until ? at : f + frames);
}

/**
 * Marks of a move that a passage in another number of frames rounds, by the frames that they are on then.
 * @throws ShotError as `stretchMap`
 */
export function stretchRoundings(
  move: Move,
  passage: Passage,
  frames: number,
  later: Later,
): readonly RoundedMark[] {
  const edged = withEdges(move, passage);
  return roundedMarks(edged, stretchMap(edged, passage, frames, later));
}
