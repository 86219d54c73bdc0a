import { FILM_FILES } from './savedFiles';
import { saveAs } from './saveAs';
import { firstFrameNumber } from '../store/frameNumbers';
import { errorSentence } from '../store/errorSentence';
import { type ShotPace, shotPace } from '@humble/core/filmPace';
import { fileFormats } from './fileFormats';
import { type FilmShots, readShot } from './films';

export type { FilmShots };

/** One shot of a film as it was read: its pace, or why there is none. */
export interface ReadPace {
  readonly id: string;
  readonly name: string;
  readonly pace: ShotPace | null;
  readonly sentence: string | null;
}

/**
 * Reads the shots of a film one after the other and works out their pace. Between two of them the page is free.
 * @param onRead is told what there is after each shot
 * @param signal after it nothing more is read or told
 */
export async function readPaces(
  shots: FilmShots,
  onRead: (read: readonly ReadPace[]) => void,
  signal: AbortSignal,
): Promise<void> {
  const read: ReadPace[] = [];
  for (const { id, name } of shots) {
    try {
      read.push({ id, name, pace: shotPace((await readShot(id)).shot), sentence: null });
    } catch (error) {
      read.push({ id, name, pace: null, sentence: errorSentence(error) });
    }
    if (signal.aborted) return;
    onRead([...read]);
  }
}

export async function saveFilmPace(film: string, read: readonly ReadPace[]): Promise<void> {
  const { writeFilmPaceCsv } = await fileFormats();
  const named = read.flatMap(({ name, pace }) => (pace ? [{ name, pace }] : []));
  saveAs(film, FILM_FILES.pace, writeFilmPaceCsv(named, firstFrameNumber()));
}
