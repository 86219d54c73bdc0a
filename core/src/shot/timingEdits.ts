import { ShotError } from '../errors';
import { type Chart, chartShares } from '../spacing/charts';
import { beginsExposure, exposureFrames } from '../spacing/exposures';
import { withoutExposure, withExposureBack } from '../timing/cutFrames';
import { withRangeHeld } from '../timing/exposureRanges';
import { fractionOfPoint } from '../timing/keepTiming';
import {
  type CopiedMarks,
  markIndex,
  withHold,
  withMarkOn,
  withMarksMoved,
  withoutMarks,
  withPasted,
} from '../timing/markEdits';
import { lastFrame } from '../timing/placeInTime';
import { freshEasing, ticksFrom, withFrames } from '../timing/retime';
import {
  withIncrementAdapted,
  withIncrementPushing,
  withSpacingDrawn,
  withTickAt,
} from '../timing/spacingEdits';
import { spanKnots, withShares } from '../timing/spanKnots';
import { changePart, findArc } from './parts';
import { PLAIN_MARK, PLAIN_TIMING } from './plainTiming';
import {
  type Easing,
  type FramesHeld,
  lastFrameFor,
  LONGEST_SHOT,
  type Mark,
  type Move,
  type Outside,
  type Shot,
} from './schema';

type OfMove = { readonly moveId: string };
type OfMark = OfMove & { readonly markId: string };
type OfMarks = OfMove & { readonly markIds: readonly string[] };
type TakesLater = { readonly takesLater: boolean };

/** @throws ShotError `unknown-id` */
function findMove(shot: Shot, id: string): Move {
  const move = shot.moves.find((candidate) => candidate.id === id);
  if (!move) throw new ShotError('unknown-id', `The shot has no move ${id}.`);
  return move;
}

/** The last frame of a shot that a move with its last mark on a frame needs. */
const framesFor = (shot: Shot, move: Move): number =>
  lastFrame(move) - (findArc(shot, move.arcId).closed ? 1 : 0);

/**
 * The shot with a changed move. It grows when the move needs more frames. When the move becomes shorter or
 * longer as a whole (`goesAlong`) and filled the shot before, the shot's length goes along with it, as far
 * as the other moves allow.
 */
function withMove(shot: Shot, moveId: string, change: (move: Move) => Move, goesAlong = false): Shot {
  const before = findMove(shot, moveId);
  const after = change(before);
  if (after === before) return shot;
  const needed = framesFor(shot, after);
  const filled = lastFrame(before) >= shot.lengthFrames;
  const others = shot.moves.filter((move) => move !== before).map((move) => framesFor(shot, move));
  const length = goesAlong && filled ? Math.max(2, needed, ...others) : Math.max(shot.lengthFrames, needed);
  if (length > LONGEST_SHOT)
    throw new ShotError('out-of-range', `A shot has at most ${LONGEST_SHOT} frames.`);
  return {
    ...shot,
    lengthFrames: length,
    moves: shot.moves.map((move) => (move === before ? after : move)),
  };
}

/** A place on an arc as it may be: an open one ends at its ends. */
function onArc(shot: Shot, move: Move, fraction: number): number {
  return findArc(shot, move.arcId).closed ? fraction : Math.min(1, Math.max(0, fraction));
}

const withMark = (move: Move, markId: string, change: (mark: Mark) => Mark): Move => ({
  ...move,
  marks: changePart(move.marks, markId, change),
});

const isRound = (shot: Shot, move: Move): boolean => findArc(shot, move.arcId).closed;

/** A move from the first frame of another to a last one, with nothing between. */
function spread(move: Move, last: number, easing: Easing, kind: Mark['kind']): Move {
  const first = move.marks[0]!;
  return {
    ...move,
    ...PLAIN_TIMING,
    marks: [
      { ...PLAIN_MARK, id: 'm1', frame: first.frame, fraction: 0, kind, easing },
      { ...PLAIN_MARK, id: 'm2', frame: last, fraction: 1, kind, easing: { kind: 'even' } },
    ],
  };
}

/** Everything that can be done to when a move is where. */
export const timingEdits = {
  /** A further mark; without a place it stands where the move is on that frame, and nothing moves. */
  addMark: (shot: Shot, { moveId, frame, fraction }: OfMove & { frame: number; fraction?: number }): Shot => {
    const last = lastFrameFor(shot.lengthFrames, isRound(shot, findMove(shot, moveId)));
    if (!Number.isInteger(frame) || frame < 1 || frame > last)
      throw new ShotError('out-of-range', `A mark lies within frames 1 to ${last}.`);
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
        const places = moved.map(({ fraction }) => fraction);
        const by = isRound(shot, move)
          ? byFraction
          : Math.min(1 - Math.max(...places), Math.max(-Math.min(...places), byFraction));
        return withMarksMoved(move, markIds, { byFrames, byFraction: by, takesLater });
      },
      takesLater,
    ),

  /** The kind or the label of marks. */
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

  /** A hold from a frame on; a frame without a mark gets one. */
  insertHold: (
    shot: Shot,
    { moveId, frame, frames, takesLater }: OfMove & TakesLater & { frame: number; frames: number },
  ): Shot => withMove(shot, moveId, (move) => withHold(move, frame, frames, { takesLater }), takesLater),

  /** Takes all timing off: the whole arc over the same frames, as on a fresh move. */
  clearTiming: (shot: Shot, { moveId }: OfMove): Shot =>
    withMove(shot, moveId, (move) => {
      const round = isRound(shot, move);
      const frames = lastFrame(move) - move.marks[0]!.frame;
      return spread(
        move,
        lastFrame(move),
        round ? { kind: 'even' } : freshEasing(frames),
        round ? 'pass' : 'stop',
      );
    }),

  /** What a move does before its first and after its last mark. */
  setOutside: (shot: Shot, { moveId, ...some }: OfMove & { before?: Outside; after?: Outside }): Shot =>
    withMove(shot, moveId, (move) => ({ ...move, ...some })),

  /** Easing of the spans that start at some marks. */
  setEasings: (shot: Shot, { moveId, markIds, easing }: OfMarks & { easing: Easing }): Shot =>
    withMove(shot, moveId, (move) =>
      markIds.reduce((now, id) => withMark(now, id, (mark) => ({ ...mark, easing })), move),
    ),

  /** The easing of a span as the explicit chart that it gives on every frame. */
  easingToTicks: (shot: Shot, { moveId, markId }: OfMark): Shot =>
    withMove(shot, moveId, (move) => {
      const i = markIndex(move, markId);
      const [from, to] = [move.marks[i]!, move.marks[i + 1]];
      if (!to || from.easing.kind === 'ticks') return move;
      if (from.easing.kind === 'flow') {
        const knots = spanKnots(move, shot, i);
        return withShares(move, knots, knots.shares);
      }
      const easing = ticksFrom(from.easing, to.frame - from.frame);
      return withMark(move, markId, (mark) => ({ ...mark, easing }));
    }),

  /** Another place for the tick of an exposure; neighbours within the reach flow with it. */
  moveTick: (
    shot: Shot,
    { moveId, ...tick }: OfMove & { frame: number; fraction: number; reachFrames: number },
  ): Shot => withMove(shot, moveId, (move) => withTickAt(move, shot, tick)),

  /**
   * Another increment to an exposure, share of the arc: either what follows up to the next mark adapts, or
   * the next marks move along the arc and all else keeps its increment.
   */
  setIncrement: (
    shot: Shot,
    { moveId, moves, ...asked }: OfMove & { frame: number; increment: number; moves: 'rest' | 'end' },
  ): Shot =>
    withMove(shot, moveId, (move) =>
      moves === 'rest'
        ? withIncrementAdapted(move, shot, asked)
        : withIncrementPushing(move, shot, asked, isRound(shot, move)),
    ),

  /** Increments of the span that starts at a mark, drawn by hand; the others share what is left of the way. */
  drawSpacing: (
    shot: Shot,
    { moveId, markId, drawn }: OfMark & { drawn: readonly (readonly [frame: number, increment: number])[] },
  ): Shot => withMove(shot, moveId, (move) => withSpacingDrawn(move, shot, markIndex(move, markId), drawn)),

  /** The drawings between a mark and the next laid out on a chart. */
  makeChart: (shot: Shot, { moveId, markId, chart }: OfMark & { chart: Chart }): Shot =>
    withMove(shot, moveId, (move) => {
      const knots = spanKnots(move, shot, markIndex(move, markId));
      return withShares(move, knots, [0, ...chartShares(chart, knots.frames.length - 2), 1]);
    }),

  /**
   * So many drawings between a mark and the next: the span gets as many frames as they need. Later marks
   * move along, or the next one alone moves.
   */
  setDrawingsBetween: (
    shot: Shot,
    { moveId, markId, count, takesLater }: OfMark & TakesLater & { count: number },
  ): Shot =>
    withMove(
      shot,
      moveId,
      (move) => {
        const i = markIndex(move, markId);
        const [from, to] = [move.marks[i]!, move.marks[i + 1]];
        if (!to) return move;
        const byFrames = from.frame + (count + 1) * move.framesHeld - to.frame;
        return withMarksMoved(move, [to.id], { byFrames, byFraction: 0, takesLater });
      },
      takesLater,
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
          throw new ShotError('out-of-range', `It takes at least ${least} pictures.`);
        const first = move.marks[0]!.frame;
        const frames = (round ? count : count - 1) * move.framesHeld;
        if (first + frames > LONGEST_SHOT)
          throw new ShotError('out-of-range', `A shot has at most ${LONGEST_SHOT} frames.`);
        if (manner === 'as-it-is') return withFrames(move, first, first + frames);
        const kind = round && manner === 'even' ? 'pass' : 'stop';
        return spread(move, first + frames, manner === 'even' ? { kind: 'even' } : freshEasing(frames), kind);
      },
      true,
    ),

  /** How long each drawing or placement is held, all over the move. */
  setFramesHeld: (shot: Shot, { moveId, framesHeld }: OfMove & { framesHeld: FramesHeld }): Shot =>
    withMove(shot, moveId, (move) => ({ ...move, framesHeld, exposures: [] })),

  /** The same on some frames only, both ends included. */
  setRangeHeld: (
    shot: Shot,
    { moveId, ...range }: OfMove & { from: number; until: number; framesHeld: FramesHeld },
  ): Shot => withMove(shot, moveId, (move) => withRangeHeld(move, range)),

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
          throw new ShotError(
            'out-of-range',
            'The first picture cannot be skipped: it is where the move begins.',
          );
        if (!frames.includes(frame))
          throw new ShotError('out-of-range', `No exposure begins on frame ${frame}.`);
        if (closesUp) return withoutExposure(move, shot, frame);
        if (move.skips.some((skip) => skip.frame === frame && !skip.cut)) return move;
        const skips = [...move.skips.filter((skip) => skip.frame !== frame), { frame, cut: null }];
        return { ...move, skips: skips.sort((a, b) => a.frame - b.frame) };
      },
      closesUp,
    ),

  /** Takes a skipped exposure back in. */
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

  /** Puts one exposure off the plan, by so many field units; the others stay. */
  putByHand: (
    shot: Shot,
    { moveId, frame, dx, dy }: OfMove & { frame: number; dx: number; dy: number },
  ): Shot =>
    withMove(shot, moveId, (move) => {
      if (!beginsExposure(move, frame))
        throw new ShotError('out-of-range', `No exposure begins on frame ${frame}.`);
      const overrides = [
        ...move.overrides.filter((override) => override.frame !== frame),
        { frame, dx, dy },
      ].sort((a, b) => a.frame - b.frame);
      return { ...move, overrides };
    }),

  /** Puts exposures back on the plan; without frames all of them. */
  backOnPlan: (shot: Shot, { moveId, frames }: OfMove & { frames?: readonly number[] }): Shot =>
    withMove(shot, moveId, (move) => ({
      ...move,
      overrides: frames ? move.overrides.filter(({ frame }) => !frames.includes(frame)) : [],
    })),
} as const;
