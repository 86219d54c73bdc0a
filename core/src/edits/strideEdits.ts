import { ShotError, outOfRange } from '../model/errors';
import { changeFigure, changeMove } from '../model/parts';
import type { DrawingPicture, Shot } from '../model/schema';
import type { Vector } from '../arc/vector';
import { evaluateMove } from '../motion/evaluate';
import { drawingFramesFor, solveStride, strideOf } from '../motion/stride';
import { findMove, type OfMove } from '../timing/moveChange';
import { lastFrameFor, MAX_SHOT_FRAMES } from '../model/limits';
import { withFrames } from '../timing/retime';
import { figureEdits } from './figureEdits';

type OfFigure = { readonly figureId: string };

/**
 * Adjust so that the travel matches the stride: the frames of the move, those of the drawings, how far the move
 * goes, or the cycle, which follows the distance then: by the advance of the drawings, or by the one that the frames of
 * the move ask for.
 */
export type StrideMatch = 'frames' | 'cycleFrames' | 'travel' | 'by-way' | 'advance';

const NOT_A_STRIDE = 'A stride needs drawings with a planted spot, and a move that goes somewhere.';

const onPicture = ({ width, height }: DrawingPicture, { x, y }: Vector): Vector => ({
  x: Math.min(width, Math.max(0, x)),
  y: Math.min(height, Math.max(0, y)),
});

export const strideEdits = {
  /**
   * The spot of a drawing that is planted, in the picture's own units; null lifts it. It stays on the picture.
   * @param args.drawing from 1
   * @param args.contact which of the planted parts it is, from 1
   */
  setPlanted: (
    shot: Shot,
    {
      figureId,
      drawing,
      spot,
      contact = 1,
    }: OfFigure & {
      readonly drawing: number;
      readonly spot: Vector | null;
      readonly contact?: number;
    },
  ): Shot =>
    changeFigure(shot, figureId, (figure) => {
      const { artwork } = figure;
      if (artwork.kind !== 'pictures' || !artwork.drawings[drawing - 1])
        throw new ShotError('unknown-id', `The figure has no drawing ${drawing}.`);
      const drawings = artwork.drawings.map((one, i): DrawingPicture =>
        i === drawing - 1 ? { ...one, planted: spot && { ...onPicture(one, spot), contact } } : one,
      );
      return { ...figure, artwork: { ...artwork, drawings } };
    }),

  /**
   * Matches the travel of a move to the stride of its drawings; what gives way is the frames of the move (the shot grows
   * with it where it must), of the drawings, how far it goes, or the cycle.
   * @throws ShotError `out-of-range` where there is no stride, or the result would not fit
   */
  matchStride: (shot: Shot, { moveId, match }: OfMove & { readonly match: StrideMatch }): Shot => {
    const move = findMove(shot, moveId);
    const travel = evaluateMove(shot, move);
    const stride = strideOf(travel);
    if (!stride) throw outOfRange(NOT_A_STRIDE);
    const { figure, arc, arcLength } = travel;
    const [first, last] = [move.marks[0]!, move.marks[move.marks.length - 1]!];
    switch (match) {
      case 'by-way':
        return figureEdits.setCycle(shot, { moveId, cycle: { by: 'way', advance: stride.advance } });
      case 'advance':
        return figureEdits.setCycle(shot, {
          moveId,
          cycle: { by: 'way', advance: solveStride(stride, 'advance') },
        });
      case 'frames': {
        const end = first.frame + Math.max(move.marks.length - 1, Math.round(solveStride(stride, 'frames')));
        if (end > MAX_SHOT_FRAMES) throw outOfRange(`A shot has at most ${MAX_SHOT_FRAMES} frames.`);
        const room = lastFrameFor(shot.lengthFrames, arc.closed);
        const lengthFrames = shot.lengthFrames + Math.max(0, end - room);
        return changeMove({ ...shot, lengthFrames }, moveId, (before) =>
          withFrames(before, first.frame, end),
        );
      }
      case 'cycleFrames': {
        const { artwork } = figure;
        if (artwork.kind !== 'pictures') throw outOfRange(NOT_A_STRIDE);
        const cycle = Math.round(solveStride(stride, 'cycleFrames'));
        const swings = move.cycle?.swings ?? false;
        const own = artwork.drawings.map(({ frames }) => frames);
        const all = swings ? [...own, ...own.slice(1, -1).reverse()] : own;
        const held = drawingFramesFor(all, cycle)?.slice(0, own.length);
        if (!held || held.some((frames) => frames > 240))
          throw outOfRange('The drawings cannot be held for so few frames, or so many.');
        const drawings = artwork.drawings.map((one, i) => ({ ...one, frames: held[i]! }));
        return changeFigure(shot, figure.id, (one) => ({ ...one, artwork: { kind: 'pictures', drawings } }));
      }
      case 'travel': {
        const way = solveStride(stride, 'travel') / arcLength;
        const wanted = first.fraction + Math.sign(last.fraction - first.fraction) * way;
        if (!arc.closed && (wanted > 1 + 1e-9 || wanted < -1e-9))
          throw outOfRange('The arc is too short for so many steps.');
        const scale = (wanted - first.fraction) / (last.fraction - first.fraction);
        const fractionOf = (fraction: number): number => first.fraction + (fraction - first.fraction) * scale;
        return changeMove(shot, moveId, (before) => ({
          ...before,
          marks: before.marks.map((mark) => ({
            ...mark,
            fraction: fractionOf(mark.fraction),
            pointId: null,
          })),
        }));
      }
    }
  },
} as const;
