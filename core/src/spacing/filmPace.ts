import type { Shot } from '../model/schema';
import { incrementTable } from './increments';
import { paceRows } from './incrementCharts';

export interface ShotPace {
  readonly lengthFrames: number;
  readonly rate: number;
  /** One for each frame: how far the quickest figure goes on it, as a share of the field's width. */
  readonly paces: readonly number[];
}

export function shotPace(shot: Shot): ShotPace {
  const { lengthFrames, rate, field, sheet } = shot;
  const paces = new Array<number>(lengthFrames).fill(0);
  const hidden = new Set(shot.figures.filter((figure) => figure.hidden).map(({ id }) => id));
  const width = sheet.units === 'mm' && field.unitsPerMm ? field.width / field.unitsPerMm : field.width;
  for (const move of shot.moves) {
    if (hidden.has(move.figureId)) continue;
    const table = incrementTable(shot, move);
    let after = table.rows[0]?.frame ?? 1;
    for (const { frame, pace } of paceRows(table)) {
      for (let on = after + 1; on <= Math.min(frame, lengthFrames); on++)
        paces[on - 1] = Math.max(paces[on - 1]!, pace / width);
      after = frame;
    }
  }
  return { lengthFrames, rate, paces };
}

export interface FilmPace {
  readonly seconds: number;
  readonly paces: readonly number[];
  readonly begins: readonly number[];
}

/** The pace of several shots in their order, over the time that they last together. @param parts how many, at least 1 */
export function filmPace(shots: readonly ShotPace[], parts: number): FilmPace {
  const begins: number[] = [];
  let seconds = 0;
  for (const { lengthFrames, rate } of shots) {
    begins.push(seconds);
    seconds += lengthFrames / rate;
  }
  const paces = new Array<number>(parts).fill(0);
  shots.forEach((shot, i) =>
    shot.paces.forEach((pace, frame) => {
      const from = begins[i]! + frame / shot.rate;
      const first = Math.floor((from / seconds) * parts + NEAR);
      const last = Math.ceil(((from + 1 / shot.rate) / seconds) * parts - NEAR) - 1;
      for (let part = first; part <= Math.min(parts - 1, last); part++)
        paces[part] = Math.max(paces[part]!, pace);
    }),
  );
  return { seconds, paces, begins };
}

const NEAR = 1e-9;
