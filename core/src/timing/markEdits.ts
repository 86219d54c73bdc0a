import { frameName, sentenceWith } from '../model/frameNumbers';
import { ShotError, outOfRange } from '../model/errors';
import { freshId } from '../model/ids';
import { PLAIN_MARK } from '../model/plainTiming';
import { MAX_SHOT_FRAMES, MAX_MARKS } from '../model/limits';
import { type Mark, type Move } from '../model/schema';
import { isHold } from './isHold';
import { remapFrames } from './remapFrames';
import { firstFrame, fractionAt, lastFrame, spanIndexAt } from './placeInTime';
import { splitEasing } from './splitEasing';

const EVEN = { kind: 'even' } as const;

/** Where a mark stands among the others. @throws ShotError `unknown-id` */
export function markIndex({ marks }: Pick<Move, 'marks'>, markId: string): number {
  const index = marks.findIndex(({ id }) => id === markId);
  if (index < 0) throw new ShotError('unknown-id', `The move has no mark ${markId}.`);
  return index;
}

const markOn = ({ marks }: Move, frame: number): Mark | undefined =>
  marks.find((mark) => mark.frame === frame);

function roomForMark(move: Move): void {
  if (move.marks.length >= MAX_MARKS) throw outOfRange(`A move has at most ${MAX_MARKS} marks.`);
}

/**
 * The move with a further mark on a frame. Without a place it stands where the move is on that frame, and
 * nothing moves; a frame outside the marks gets the place that the move has there.
 * @param fraction share of the arc's length; laps of a closed arc go on past 1
 * @throws ShotError `out-of-range` when the frame has a mark
 */
export function withMarkOn(move: Move, frame: number, fraction?: number): Move {
  if (markOn(move, frame)) throw outOfRange(sentenceWith`Frame ${frameName(frame)} has a mark already.`);
  roomForMark(move);
  const { marks } = move;
  const fresh: Mark = {
    ...PLAIN_MARK,
    id: freshId('m', marks),
    frame,
    fraction: fraction ?? fractionAt(move, frame),
    kind: 'pass',
    easing: EVEN,
  };
  if (frame < firstFrame(move)) return { ...move, marks: [{ ...fresh, kind: 'stop' }, ...marks] };
  if (frame > lastFrame(move)) return { ...move, marks: [...marks, { ...fresh, kind: 'stop' }] };
  const i = spanIndexAt(move, frame);
  const [from, to] = [marks[i]!, marks[i + 1]!];
  const [before, after] = splitEasing(from.easing, frame - from.frame, to.frame - from.frame);
  return {
    ...move,
    marks: [
      ...marks.slice(0, i),
      { ...from, easing: before },
      { ...fresh, easing: after },
      ...marks.slice(i + 1),
    ],
  };
}

export function withoutMarks(move: Move, markIds: readonly string[]): Move {
  const gone = new Set(markIds);
  const marks = move.marks.filter(({ id }) => !gone.has(id));
  if (marks.length < 2)
    throw outOfRange('A move needs at least two marks: where it begins and where it ends.');
  return { ...move, marks };
}

/**
 * Marks moved in time and place together. Each keeps at least a frame to its neighbours that stay: the shift
 * goes only as far as that. With `takesLater` all marks after the last of them come along, and so does what
 * else lies on those frames.
 */
export function withMarksMoved(
  move: Move,
  markIds: readonly string[],
  {
    byFrames,
    byFraction,
    takesLater,
  }: { readonly byFrames: number; readonly byFraction: number; readonly takesLater: boolean },
): Move {
  const moved = new Set(markIds);
  const { marks } = move;
  const lastMoved = marks.findLastIndex(({ id }) => moved.has(id));
  if (lastMoved < 0) return move;
  const comesAlong = (i: number): boolean => moved.has(marks[i]!.id) || (takesLater && i > lastMoved);
  let [least, most] = [-Infinity, Infinity];
  marks.forEach((mark, i) => {
    if (!comesAlong(i)) return;
    const [before, after] = [marks[i - 1], marks[i + 1]];
    if (!before) least = Math.max(least, 1 - mark.frame);
    else if (!comesAlong(i - 1)) least = Math.max(least, before.frame + 1 - mark.frame);
    if (!after) most = Math.min(most, MAX_SHOT_FRAMES + 1 - mark.frame);
    else if (!comesAlong(i + 1)) most = Math.min(most, after.frame - 1 - mark.frame);
  });
  const by = Math.round(Math.min(most, Math.max(least, byFrames)));
  const next = marks.map((mark, i): Mark => {
    if (!comesAlong(i)) return mark;
    const isMoved = moved.has(mark.id) && byFraction !== 0;
    return {
      ...mark,
      frame: mark.frame + by,
      ...(isMoved && { fraction: mark.fraction + byFraction, pointId: null }),
    };
  });
  const from = marks[lastMoved]!.frame;
  const alongside = takesLater && by !== 0 ? remapFrames(move, (f) => (f >= from ? f + by : f)) : {};
  return { ...move, ...alongside, marks: next };
}

function shiftedFrom(move: Move, frame: number, by: number): Move {
  return {
    ...move,
    ...remapFrames(move, (f) => (f >= frame ? f + by : f)),
    marks: move.marks.map((mark) => (mark.frame >= frame ? { ...mark, frame: mark.frame + by } : mark)),
  };
}

/**
 * The move with a hold of so many frames from a frame on. A frame without a mark gets one. Later marks move
 * along, or stay, and then the next span has fewer frames.
 * @throws ShotError `out-of-range` when later marks stay and there are too few frames before the next
 */
export function withHold(
  move: Move,
  frame: number,
  frames: number,
  { takesLater }: { readonly takesLater: boolean },
): Move {
  if (!Number.isInteger(frames) || frames < 1) throw outOfRange('A hold lasts at least one frame.');
  if (!Number.isInteger(frame) || frame < 1) throw outOfRange('A hold begins on a frame of the shot.');
  const marked = markOn(move, frame) ? move : withMarkOn(move, frame);
  roomForMark(marked);
  const i = marked.marks.findIndex((mark) => mark.frame === frame);
  const mark = marked.marks[i]!;
  const next = marked.marks[i + 1];
  if (next && !takesLater && next.frame <= frame + frames)
    throw outOfRange(
      `There are only ${next.frame - frame} frames to the next mark: hold for fewer, or let later marks move along.`,
    );
  if (lastFrame(marked) + frames > MAX_SHOT_FRAMES)
    throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
  const later = next && takesLater ? shiftedFrom(marked, frame + 1, frames) : marked;
  const leaves: Mark = {
    ...mark,
    id: freshId('m', later.marks),
    frame: frame + frames,
    kind: 'stop',
    label: '',
  };
  return {
    ...later,
    marks: [
      ...later.marks.slice(0, i),
      { ...mark, kind: 'stop', easing: EVEN },
      leaves,
      ...later.marks.slice(i + 1),
    ],
  };
}

interface HoldOn {
  readonly index: number;
  readonly frames: number;
}

export function holdOn({ marks }: Pick<Move, 'marks'>, frame: number): HoldOn | null {
  const index = marks.findIndex((mark, i) => {
    const next = marks[i + 1];
    return next !== undefined && mark.frame <= frame && frame <= next.frame && isHold(mark, next);
  });
  return index < 0 ? null : { index, frames: marks[index + 1]!.frame - marks[index]!.frame };
}

/**
 * The move with a hold of so many frames on a frame: the one that the frame lies in is made longer or shorter, or
 * taken away by 0; else one begins there. Later marks move along, or stay.
 * @throws ShotError `out-of-range` when later marks stay and there are too few frames before the next
 */
export function withHoldOf(
  move: Move,
  frame: number,
  frames: number,
  { takesLater }: { readonly takesLater: boolean },
): Move {
  if (!Number.isInteger(frames) || frames < 0) throw outOfRange('A hold lasts a whole number of frames.');
  const hold = holdOn(move, frame);
  if (!hold) return frames === 0 ? move : withHold(move, frame, frames, { takesLater });
  if (frames === hold.frames) return move;
  const [mark, leaves, next] = move.marks.slice(hold.index) as [Mark, Mark, Mark?];
  if (frames === 0) {
    const { kind, easing } = leaves;
    const passing = move.marks.map((one) => (one === mark ? { ...mark, kind, easing } : one));
    const without = withoutMarks({ ...move, marks: passing }, [leaves.id]);
    return takesLater ? shiftedFrom(without, leaves.frame + 1, -hold.frames) : without;
  }
  if (next && !takesLater && next.frame <= mark.frame + frames)
    throw outOfRange(
      `There are only ${next.frame - mark.frame} frames to the next mark: hold for fewer, or let later marks move along.`,
    );
  return withMarksMoved(move, [leaves.id], { byFrames: frames - hold.frames, byFraction: 0, takesLater });
}

/** Marks as they are copied: on frames counted from the first of them. */
export type CopiedMarks = readonly Omit<Mark, 'id' | 'pointId'>[];

/** Marks to be pasted elsewhere, on frames counted from the first of them, which is 0. */
export function copiedMarks({ marks }: Pick<Move, 'marks'>, markIds: readonly string[]): CopiedMarks {
  const chosen = marks.filter(({ id }) => markIds.includes(id));
  const first = chosen[0]?.frame ?? 0;
  return chosen.map(({ frame, fraction, kind, easing, label }) => ({
    frame: frame - first,
    fraction,
    kind,
    easing,
    label,
  }));
}

/** The move with copied marks from a frame on; a mark that stands on one of their frames gives way. */
export function withPasted(move: Move, copied: CopiedMarks, at: number): Move {
  const taken = new Set(copied.map(({ frame }) => frame + at));
  const kept = move.marks.filter(({ frame }) => !taken.has(frame));
  if (kept.length + copied.length > MAX_MARKS) throw outOfRange(`A move has at most ${MAX_MARKS} marks.`);
  const marks: Mark[] = [...kept];
  for (const mark of copied)
    marks.push({
      ...PLAIN_MARK,
      ...mark,
      id: freshId('m', [...move.marks, ...marks]),
      frame: mark.frame + at,
    });
  return { ...move, marks: marks.sort((a, b) => a.frame - b.frame) };
}
