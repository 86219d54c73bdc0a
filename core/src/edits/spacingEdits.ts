import { type Chart, chartShares } from '../exposure/charts';
import { markIndex, withMarksMoved } from '../timing/markEdits';
import { ticksFrom } from '../timing/retime';
import {
  withIncrementAdapted,
  withIncrementPushing,
  withSpacingDrawn,
  withTickAt,
} from '../spacing/spacingEdits';
import { spanKnots, withShares } from '../exposure/spanKnots';
import { isRound, type OfMark, type OfMove, type TakesLater, withMark, withMove } from '../timing/moveChange';
import type { Shot } from '../model/schema';

export const spacingEdits = {
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
} as const;
