import { frameName, sentenceWith } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import { beginsExposure, exposureFrames } from '../exposure/exposures';
import { withExposureBack, withoutExposure } from '../exposure/cutFrames';
import { withRangeHeld } from '../exposure/exposureRanges';
import { withPictureHeld } from '../exposure/heldFor';
import { findMove, type OfMove, withMove } from '../timing/moveChange';
import type { FramesHeld, Shot } from '../model/schema';

export const exposureEdits = {
  setFramesHeld: (shot: Shot, { moveId, framesHeld }: OfMove & { framesHeld: FramesHeld }): Shot =>
    withMove(shot, moveId, (move) => ({ ...move, framesHeld, exposures: [] })),

  setRangeHeld: (
    shot: Shot,
    { moveId, ...range }: OfMove & { from: number; until: number; framesHeld: FramesHeld },
  ): Shot => withMove(shot, moveId, (move) => withRangeHeld(move, range)),

  /** How long one picture is held: its neighbour gives way, all others stay. @throws ShotError `out-of-range` */
  holdPicture: (
    shot: Shot,
    { moveId, frame, frames }: OfMove & { readonly frame: number; readonly frames: number },
  ): Shot => withMove(shot, moveId, (move) => withPictureHeld(move, shot, frame, frames)),

  /**
   * Leaves an exposure out: the one before is held through its frames, or they are taken out and all that
   * follows comes sooner.
   */
  skipExposure: (
    shot: Shot,
    { moveId, frame, closesUp }: OfMove & { frame: number; closesUp: boolean },
  ): Shot =>
    withMove(
      shot,
      moveId,
      (move) => {
        const frames = exposureFrames(move, shot.lengthFrames);
        if (frames[0] === frame)
          throw outOfRange('The first picture cannot be skipped: it is where the move begins.');
        if (!frames.includes(frame))
          throw outOfRange(sentenceWith`No exposure begins on frame ${frameName(frame)}.`);
        if (closesUp) return withoutExposure(move, shot, frame);
        if (move.skips.some((skip) => skip.frame === frame && !skip.cut)) return move;
        const skips = [...move.skips.filter((skip) => skip.frame !== frame), { frame, cut: null }];
        return { ...move, skips: skips.sort((a, b) => a.frame - b.frame) };
      },
      closesUp,
    ),

  bringBack: (shot: Shot, { moveId, frame }: OfMove & { frame: number }): Shot => {
    const skip = findMove(shot, moveId).skips.find((candidate) => candidate.frame === frame);
    if (!skip) return shot;
    return withMove(
      shot,
      moveId,
      (move) =>
        skip.cut
          ? withExposureBack(move, skip)
          : { ...move, skips: move.skips.filter((other) => other !== skip) },
      skip.cut !== null,
    );
  },

  putByHand: (
    shot: Shot,
    { moveId, frame, dx, dy }: OfMove & { frame: number; dx: number; dy: number },
  ): Shot =>
    withMove(shot, moveId, (move) => {
      if (!beginsExposure(move, frame))
        throw outOfRange(sentenceWith`No exposure begins on frame ${frameName(frame)}.`);
      const overrides = [
        ...move.overrides.filter((override) => override.frame !== frame),
        { frame, dx, dy },
      ].sort((a, b) => a.frame - b.frame);
      return { ...move, overrides };
    }),

  backOnPlan: (shot: Shot, { moveId, frames }: OfMove & { frames?: readonly number[] }): Shot =>
    withMove(shot, moveId, (move) => ({
      ...move,
      overrides: frames ? move.overrides.filter(({ frame }) => !frames.includes(frame)) : [],
    })),
} as const;
