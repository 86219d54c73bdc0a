import type { DrawingPicture, Figure, Move } from '../model/schema';
import { cycleDrawing } from './cycle';

export const drawingCount = ({ artwork }: Pick<Figure, 'artwork'>): number =>
  artwork.kind === 'pictures' ? artwork.drawings.length : 1;

export interface DrawingSource {
  readonly move: Pick<Move, 'drawings' | 'cycle'>;
  readonly figure: Pick<Figure, 'artwork'>;
  /** Distance along the arc on a frame, field units. */
  readonly distanceOn: (frame: number) => number;
  readonly lastFrame: number;
}

function inSequence(drawings: readonly DrawingPicture[], frame: number): number {
  let rest = frame - 1;
  for (const [i, { frames }] of drawings.entries()) {
    if (rest < frames) return i + 1;
    rest -= frames;
  }
  return drawings.length;
}

/**
 * Which drawing of a figure is shown on a frame, from 1, or 0 for none: the one that its move says from there on, else
 * that of its cycle, else that of the sequence from frame 1 on.
 */
export function drawingOn({ move, figure, distanceOn, lastFrame }: DrawingSource, frame: number): number {
  const { artwork } = figure;
  if (artwork.kind !== 'pictures') return 1;
  const { drawings } = artwork;
  const said = move.drawings.findLast((shown) => shown.frame <= frame) ?? move.drawings[0];
  if (said) return Math.min(said.drawing, drawings.length);
  return move.cycle
    ? cycleDrawing(move.cycle, drawings, frame, lastFrame, distanceOn)
    : inSequence(drawings, frame);
}
