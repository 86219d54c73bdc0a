import { frameName, sentenceWith } from '../model/frameNumbers';
import { PLAIN_MARK } from '../model/plainTiming';
import type { FramesHeld, Mark, Move, Shot } from '../model/schema';
import { isHold } from '../timing/isHold';
import { firstFrame, lastFrame } from '../timing/placeInTime';
import { spanKnots, withShares } from '../exposure/spanKnots';
import { brokenTable } from './csvTable';

/** Ones, twos or threes when every exposure but the last is held that long; else ones. */
export function heldIn(frames: readonly number[]): FramesHeld {
  const gaps = new Set(frames.slice(1).map((frame, i) => frame - frames[i]!));
  const [gap] = gaps;
  return gaps.size === 1 && (gap === 2 || gap === 3) ? gap : 1;
}

export const marksOn = (frames: readonly number[], fractionOf: (i: number) => number): Mark[] =>
  frames.map((frame, i): Mark => ({
    ...PLAIN_MARK,
    id: `m${i + 1}`,
    frame,
    fraction: fractionOf(i),
    kind: i === 0 || i === frames.length - 1 ? 'stop' : 'pass',
    easing: { kind: 'even' },
  }));

/** The move with its exposures at other places: marks on them move, and spans between go by chart. */
export function withPlaces(
  shot: Shot,
  move: Move,
  fractions: ReadonlyMap<number, number>,
  isChanged: (frame: number) => boolean,
): Move {
  const changed = [...fractions.keys()].filter(isChanged);
  const outside = changed.find((frame) => frame < firstFrame(move) || frame > lastFrame(move));
  if (outside !== undefined)
    throw brokenTable(
      sentenceWith`Frame ${frameName(outside)} lies outside the marks of the move: what it does there follows from them.`,
    );
  let next: Move = {
    ...move,
    overrides: move.overrides.filter(({ frame }) => !isChanged(frame)),
    marks: move.marks.map((mark) =>
      isChanged(mark.frame) ? { ...mark, fraction: fractions.get(mark.frame)!, pointId: null } : mark,
    ),
  };
  for (let index = move.marks.length - 2; index >= 0; index--) {
    const [from, to] = [next.marks[index]!, next.marks[index + 1]!];
    const inside = [...fractions.keys()].filter((frame) => frame > from.frame && frame < to.frame);
    if (!inside.some(isChanged) && !isChanged(from.frame) && !isChanged(to.frame)) continue;
    if (inside.length > 0) next = withSpanThrough(shot, next, index, fractions, inside);
  }
  return next;
}

function withSpanThrough(
  shot: Shot,
  move: Move,
  index: number,
  fractions: ReadonlyMap<number, number>,
  inside: readonly number[],
): Move {
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  if (isHold(from, to)) {
    if (inside.every((frame) => isHold(from, { fraction: fractions.get(frame)! }))) return move;
    const marks = marksOn(inside, (i) => fractions.get(inside[i]!)!).map((mark): Mark => ({
      ...mark,
      id: `${from.id}-${mark.frame}`,
      kind: 'pass',
    }));
    const before = move.marks.slice(0, index).concat({ ...from, easing: { kind: 'even' } });
    return { ...move, marks: [...before, ...marks, ...move.marks.slice(index + 1)] };
  }
  const knots = spanKnots(move, shot, index);
  const displacement = to.fraction - from.fraction;
  const shares = knots.frames.map((frame, k) => {
    const fraction = fractions.get(frame);
    return k === 0 || k === knots.frames.length - 1 || fraction === undefined
      ? knots.shares[k]!
      : (fraction - from.fraction) / displacement;
  });
  return withShares(move, knots, shares);
}
