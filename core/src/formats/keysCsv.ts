import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { TRACKS } from '../timing/tracks';
import { harmless, written } from './incrementsCsv';
import { csvText } from './csvTable';

/**
 * The keys of all moves as CSV, a line for each: its track, its frame, its value (degrees, percent or field units), and
 * the kind of the easing to the next one. Those of hidden figures are among them.
 */
export function writeKeysCsv(shot: Shot, first: FirstFrameNumber = 1): string {
  const names = new Map(shot.figures.map(({ id, name }) => [id, name]));
  const data = shot.moves.flatMap((move) =>
    TRACKS.flatMap(({ name }) =>
      move.tracks[name].map(({ frame, value, easing }) => [
        move.id,
        harmless(names.get(move.figureId)!),
        name,
        String(frameNumber(frame, first)),
        written(value),
        easing.kind,
      ]),
    ),
  );
  const fields = ['move', 'figure', 'track', 'frame', 'value', 'easing'];
  return csvText(fields, data);
}
