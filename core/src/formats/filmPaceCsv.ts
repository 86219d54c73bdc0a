import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { ShotPace } from '../spacing/filmPace';
import { harmless, written } from './incrementsCsv';
import { csvText } from './csvTable';

export interface NamedPace {
  readonly name: string;
  readonly pace: ShotPace;
}

/**
 * The pace over a film as CSV, a line for each frame of each shot: seconds from the start of the film, and how far the
 * quickest figure goes on that frame, percent of the field's width.
 */
export function writeFilmPaceCsv(shots: readonly NamedPace[], first: FirstFrameNumber = 1): string {
  let began = 0;
  const data = shots.flatMap(({ name, pace: { lengthFrames, rate, paces } }) => {
    const lines = paces.map((pace, i) => [
      harmless(name),
      String(frameNumber(i + 1, first)),
      written(began + i / rate),
      written(pace * 100),
    ]);
    began += lengthFrames / rate;
    return lines;
  });
  return csvText(['shot', 'frame', 'seconds', 'percent'], data);
}
