import { withFramesAt, withFramesCut } from '../exposure/cutFrames';
import { withRangeHeld } from '../exposure/exposureRanges';
import { outOfRange } from '../model/errors';
import { frameName, sentenceWith } from '../model/frameNumbers';
import { lastFrameFor, MAX_SHOT_FRAMES } from '../model/limits';
import { findArc } from '../model/parts';
import type { Move, Shot } from '../model/schema';
import type { FrameMap } from '../timing/frameMap';
import { withNotesAlong } from '../timing/notes';
import { firstFrame, fractionAt, lastFrame } from '../timing/placeInTime';

/** The shot with the frames of all its moves changed from a frame on, and with a length to go with it. */
function withLater(
  shot: Shot,
  by: number,
  { change, map }: { readonly change: (move: Move) => Move; readonly map: FrameMap },
): Shot {
  const lengthFrames = shot.lengthFrames + by;
  if (lengthFrames > MAX_SHOT_FRAMES) throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
  if (lengthFrames < 2) throw outOfRange('A shot has at least two frames.');
  const waiting = shot.waiting.map((one) => {
    if (!one.move) return one;
    const { arcId: _, ...move } = change({ ...one.move, arcId: '' });
    return { ...one, move };
  });
  const later = withNotesAlong({ ...shot, lengthFrames, moves: shot.moves.map(change), waiting }, null, map);
  const isTooLong = later.moves.some(
    (move) => lastFrame(move) > lastFrameFor(lengthFrames, findArc(shot, move.arcId).closed),
  );
  return isTooLong ? { ...later, lengthFrames: Math.max(...later.moves.map(lastFrame)) } : later;
}

/** On twos and threes what follows a picture that is held for another time is counted from its end. */
export function inStepAfter(
  move: Move,
  { frame, frames, by }: { frame: number; frames: number; by: number },
): Move {
  const isKept = by % move.framesHeld === 0;
  return isKept ? move : withRangeHeld(move, { from: frame, until: frame + frames - 1, framesHeld: 1 });
}

/** Where frames are put in: before `frame`, each `share` of the way there from where all stood on `since`. */
export interface Gap {
  readonly frame: number;
  readonly since: number;
  readonly share: number;
}

/** Puts frames in before a frame of all moves. @throws ShotError `out-of-range` when the shot would be too long */
export function withFramesBefore(shot: Shot, { frame, since, share }: Gap, count: number): Shot {
  return withLater(shot, count, {
    change: (move) => {
      const [from, to] = [fractionAt(move, since), fractionAt(move, frame)];
      return withFramesAt(move, frame, { fraction: from + share * (to - from), count });
    },
    map: (f) => (f >= frame ? f + count : f),
  });
}

/**
 * Takes frames out of all moves; what is left keeps its places, and the way across is one step.
 * @throws ShotError `out-of-range` where a mark stands on one of them, or a move begins there
 */
export function withoutFrames(shot: Shot, frame: number, count: number): Shot {
  const map: FrameMap = (f) => (f >= frame + count ? f - count : Math.min(f, frame));
  const cut = (move: Move): Move => {
    if (frame >= lastFrame(move)) return move;
    if (frame > firstFrame(move)) return withFramesCut(move, frame, count);
    if (firstFrame(move) < frame + count)
      throw outOfRange(
        sentenceWith`A move begins on frame ${frameName(firstFrame(move))}: its first picture cannot be skipped.`,
      );
    return withFramesAt(move, frame, { fraction: 0, count: -count });
  };
  return withLater(shot, -count, { change: cut, map });
}
