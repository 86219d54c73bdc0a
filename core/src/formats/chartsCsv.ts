import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { ladderOf } from '../spacing/ladder';
import { spansOf } from '../timing/placeInTime';
import { harmless, written } from './incrementsCsv';
import { csvText } from './csvTable';

/**
 * The spacing charts of a shot as CSV: a line for each key and each drawing between two of them, with its share of the
 * way from the one to the other, percent. Holds and hidden figures are left out.
 */
export function writeChartsCsv(shot: Shot, first: FirstFrameNumber = 1): string {
  const figures = new Map(shot.figures.map((figure) => [figure.id, figure]));
  const data = shot.moves.flatMap((move) => {
    const figure = figures.get(move.figureId)!;
    if (figure.hidden) return [];
    return spansOf(move).flatMap(({ isHold }, index) => {
      if (isHold) return [];
      const { from, to, rungs } = ladderOf(shot, move, index);
      const stations = [{ frame: from.frame, share: 0 }, ...rungs, { frame: to.frame, share: 1 }];
      return stations.map(({ frame, share }, i) => [
        move.id,
        harmless(figure.name),
        String(frameNumber(from.frame, first)),
        String(frameNumber(to.frame, first)),
        i === 0 || i === stations.length - 1 ? 'key' : 'between',
        String(frameNumber(frame, first)),
        written(share * 100),
      ]);
    });
  });
  const fields = ['move', 'figure', 'from', 'to', 'drawing', 'frame', 'percent'];
  return csvText(fields, data);
}
