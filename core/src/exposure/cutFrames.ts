import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Move, Shot, Skip } from '../model/schema';
import { exposureFrames } from './exposures';
import { remapFrames } from '../timing/remapFrames';
import { chartOf } from '../timing/easings/ticks';
import { firstFrame, fractionAt, lastFrame, spanIndexAt } from '../timing/placeInTime';
import { isHold } from '../timing/isHold';
import { spanDisplacement } from './spanKnots';

function sharesByFrame(move: Move, index: number): number[] {
  const [from, to] = [move.marks[index]!, move.marks[index + 1]!];
  const displacement = spanDisplacement(move, index);
  return Array.from({ length: to.frame - from.frame }, (_, i) =>
    displacement === 0
      ? (i + 1) / (to.frame - from.frame)
      : (fractionAt(move, from.frame + i + 1) - from.fraction) / displacement,
  );
}

function recharted(move: Move, index: number, shares: readonly number[], from: number, by: number): Move {
  // A hold is as long as it is; it needs no chart.
  const stays = isHold(move.marks[index]!, move.marks[index + 1]!);
  return {
    ...move,
    ...remapFrames(move, (f) => (f >= from ? f + by : f)),
    marks: move.marks.map((mark, i) => ({
      ...mark,
      frame: i > index ? mark.frame + by : mark.frame,
      easing: i === index && !stays ? chartOf(shares) : mark.easing,
    })),
  };
}

/**
 * The move with some frames between its marks taken out: all that is left keeps its place, and what follows comes
 * sooner.
 * @throws ShotError `out-of-range` when a mark stands on one of them, or they lie outside the marks
 */
export function withFramesCut(move: Move, frame: number, count: number): Move {
  const next = frame + count;
  if (frame <= firstFrame(move) || frame >= lastFrame(move))
    throw outOfRange('Only a picture between the first and the last mark can be removed.');
  const marked = move.marks.find((mark) => mark.frame >= frame && mark.frame < next);
  if (marked)
    throw outOfRange(
      sentenceWith`There is a mark on frame ${frameName(marked.frame)}: skip the picture and keep its frames, or move the mark first.`,
    );
  const index = spanIndexAt(move, frame);
  const from = move.marks[index]!.frame;
  const shares = sharesByFrame(move, index).filter((_, i) => {
    const f = from + i + 1;
    return f < frame || f >= next;
  });
  const bare = {
    ...move,
    overrides: move.overrides.filter((override) => override.frame !== frame),
    skips: move.skips.filter((other) => other.cut !== null || other.frame < frame || other.frame >= next),
  };
  return recharted(bare, index, shares, next, -count);
}

/**
 * The move with the frames of an exposure taken out: all other exposures keep their places, and what follows
 * comes sooner. What was taken out is remembered as a skip.
 * @throws ShotError `out-of-range` when a mark stands on one of its frames, or it lies outside the marks
 */
export function withoutExposure(move: Move, shot: Pick<Shot, 'lengthFrames'>, frame: number): Move {
  const frames = exposureFrames(move, shot.lengthFrames);
  const next = frames[frames.indexOf(frame) + 1] ?? lastFrame(move);
  const shorter = withFramesCut(move, frame, next - frame);
  const skip: Skip = { frame, cut: { fraction: fractionAt(move, frame), framesHeld: next - frame } };
  return { ...shorter, skips: [...shorter.skips, skip].sort((a, b) => a.frame - b.frame) };
}

/** The move with frames put in before a frame, on which it stands at a place; all that follows comes later. */
export function withFramesAt(
  move: Move,
  frame: number,
  place: { readonly fraction: number; readonly count: number },
): Move {
  const { fraction, count } = place;
  if (frame > lastFrame(move)) return move;
  if (frame <= firstFrame(move))
    return {
      ...move,
      ...remapFrames(move, (f) => f + count),
      marks: move.marks.map((mark) => ({ ...mark, frame: mark.frame + count })),
    };
  return withExposureBack(move, { frame, cut: { fraction, framesHeld: count } });
}

/**
 * The move with an exposure that was taken out put back before the frame that it stood before. Of several
 * before one frame the first is to be put back first.
 */
export function withExposureBack(move: Move, skip: Skip): Move {
  const { frame, cut } = skip;
  if (!cut) return move;
  const index = spanIndexAt(move, Math.min(Math.max(frame, firstFrame(move)), lastFrame(move)) - 1);
  const from = move.marks[index]!;
  const displacement = spanDisplacement(move, index);
  const shares = sharesByFrame(move, index);
  const at = frame - from.frame - 1;
  const share = displacement === 0 ? 0 : (cut.fraction - from.fraction) / displacement;
  const back = [
    ...shares.slice(0, at),
    ...Array.from({ length: cut.framesHeld }, () => share),
    ...shares.slice(at),
  ];
  const bare = { ...move, skips: move.skips.filter((other) => other !== skip) };
  return recharted(bare, index, back, frame, cut.framesHeld);
}
