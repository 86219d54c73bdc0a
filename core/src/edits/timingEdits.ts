import { outOfRange } from '../model/errors';
import { fractionOfPoint } from '../timing/keepTiming';
import {
  type CopiedMarks,
  withHold,
  withHoldOf,
  withMarkOn,
  withMarksMoved,
  withoutMarks,
  withPasted,
} from '../timing/markEdits';
import { lastFrame } from '../timing/placeInTime';
import { freshRamp } from '../timing/easings/ramped';
import { remapFrames } from '../timing/remapFrames';
import { withFrames } from '../timing/retime';
import {
  findMove,
  isRound,
  type OfMark,
  type OfMarks,
  type OfMove,
  onArc,
  type TakesLater,
  withMark,
  withMove,
} from '../timing/moveChange';
import { findArc } from '../model/parts';
import { PLAIN_MARK, PLAIN_TIMING } from '../model/plainTiming';
import { type Easing, type Mark, type Move, type Outside, type Shot } from '../model/schema';
import { lastFrameFor, MAX_SHOT_FRAMES } from '../model/limits';

function spread(move: Move, last: number, easing: Easing, kind: Mark['kind']): Move {
  const first = move.marks[0]!;
  // What lies on frames besides marks keeps its share of the time.
  const { tracks, drawings, cycle } = remapFrames(move, (frame) =>
    Math.round(
      first.frame + ((frame - first.frame) * (last - first.frame)) / (lastFrame(move) - first.frame),
    ),
  );
  return {
    ...move,
    ...PLAIN_TIMING,
    tracks,
    drawings,
    cycle,
    marks: [
      { ...PLAIN_MARK, id: 'm1', frame: first.frame, fraction: 0, kind, easing },
      { ...PLAIN_MARK, id: 'm2', frame: last, fraction: 1, kind, easing: { kind: 'even' } },
    ],
  };
}

export const timingEdits = {
  addMark: (shot: Shot, { moveId, frame, fraction }: OfMove & { frame: number; fraction?: number }): Shot => {
    const last = lastFrameFor(shot.lengthFrames, isRound(shot, findMove(shot, moveId)));
    if (!Number.isInteger(frame) || frame < 1 || frame > last)
      throw outOfRange(`A mark lies within frames 1 to ${last}.`);
    return withMove(shot, moveId, (move) =>
      withMarkOn(move, frame, fraction === undefined ? undefined : onArc(shot, move, fraction)),
    );
  },

  deleteMarks: (shot: Shot, { moveId, markIds }: OfMarks): Shot =>
    withMove(shot, moveId, (move) => withoutMarks(move, markIds)),

  /**
   * Marks moved in time and place together; they keep a frame to those that stay. On an open arc they stay
   * on it.
   * @param byFraction share of the arc
   */
  moveMarks: (
    shot: Shot,
    {
      moveId,
      markIds,
      byFrames = 0,
      byFraction = 0,
      takesLater,
    }: OfMarks & TakesLater & { byFrames?: number; byFraction?: number },
  ): Shot =>
    withMove(
      shot,
      moveId,
      (move) => {
        const moved = move.marks.filter(({ id }) => markIds.includes(id));
        const fractions = moved.map(({ fraction }) => fraction);
        const by = isRound(shot, move)
          ? byFraction
          : Math.min(1 - Math.max(...fractions), Math.max(-Math.min(...fractions), byFraction));
        return withMarksMoved(move, markIds, { byFrames, byFraction: by, takesLater });
      },
      takesLater,
    ),

  setMarks: (
    shot: Shot,
    { moveId, markIds, ...some }: OfMarks & Partial<Pick<Mark, 'kind' | 'label'>>,
  ): Shot =>
    withMove(shot, moveId, (move) =>
      markIds.reduce((now, id) => withMark(now, id, (mark) => ({ ...mark, ...some })), move),
    ),

  /** Ties a mark to a point of its arc, so that it comes to stand there and goes with it; null unties it. */
  tieMark: (shot: Shot, { moveId, markId, pointId }: OfMark & { pointId: string | null }): Shot =>
    withMove(shot, moveId, (move) => {
      const arc = findArc(shot, move.arcId);
      return withMark(move, markId, (mark) => ({
        ...mark,
        pointId,
        fraction: pointId === null ? mark.fraction : fractionOfPoint(arc, pointId, mark.fraction),
      }));
    }),

  pasteMarks: (shot: Shot, { moveId, copied, at }: OfMove & { copied: CopiedMarks; at: number }): Shot =>
    withMove(shot, moveId, (move) =>
      withPasted(
        move,
        copied.map((mark) => ({ ...mark, fraction: onArc(shot, move, mark.fraction) })),
        at,
      ),
    ),

  insertHold: (
    shot: Shot,
    { moveId, frame, frames, takesLater }: OfMove & TakesLater & { frame: number; frames: number },
  ): Shot => withMove(shot, moveId, (move) => withHold(move, frame, frames, { takesLater }), takesLater),

  /** How long the figure holds on a frame: a hold is made, made longer or shorter, or taken away by 0 frames. */
  setHold: (
    shot: Shot,
    { moveId, frame, frames, takesLater }: OfMove & TakesLater & { frame: number; frames: number },
  ): Shot => withMove(shot, moveId, (move) => withHoldOf(move, frame, frames, { takesLater }), takesLater),

  /** Takes all timing off: the whole arc over the same frames, as on a fresh move. */
  clearTiming: (shot: Shot, { moveId }: OfMove): Shot =>
    withMove(shot, moveId, (move) => {
      const round = isRound(shot, move);
      const frames = lastFrame(move) - move.marks[0]!.frame;
      return spread(
        move,
        lastFrame(move),
        round ? { kind: 'even' } : freshRamp(frames),
        round ? 'pass' : 'stop',
      );
    }),

  setOutside: (shot: Shot, { moveId, ...some }: OfMove & { before?: Outside; after?: Outside }): Shot =>
    withMove(shot, moveId, (move) => ({ ...move, ...some })),

  setEasings: (shot: Shot, { moveId, markIds, easing }: OfMarks & { easing: Easing }): Shot =>
    withMove(shot, moveId, (move) =>
      markIds.reduce((now, id) => withMark(now, id, (mark) => ({ ...mark, easing })), move),
    ),

  /**
   * So many pictures on the whole arc: evenly, eased at both ends, or as the move is timed now. Round a
   * closed arc the last of as many increments leads back to the first picture.
   */
  spreadPictures: (
    shot: Shot,
    { moveId, count, manner }: OfMove & { count: number; manner: 'even' | 'eased' | 'as-it-is' },
  ): Shot =>
    withMove(
      shot,
      moveId,
      (move) => {
        const round = isRound(shot, move);
        const least = round ? 3 : 2;
        if (!Number.isInteger(count) || count < least)
          throw outOfRange(`It takes at least ${least} pictures.`);
        const first = move.marks[0]!.frame;
        const frames = (round ? count : count - 1) * move.framesHeld;
        if (first + frames > MAX_SHOT_FRAMES)
          throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
        if (manner === 'as-it-is') return withFrames(move, first, first + frames);
        const kind = round && manner === 'even' ? 'pass' : 'stop';
        return spread(move, first + frames, manner === 'even' ? { kind: 'even' } : freshRamp(frames), kind);
      },
      true,
    ),
} as const;
