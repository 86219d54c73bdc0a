import { PLAIN_SHOT } from './plainShot';
import type { Shot } from './schema';
import { SHOT_FORMAT, SHOT_VERSION } from './version';

export interface FreshShot {
  /** 1 to 120 letters. */
  readonly name: string;
  readonly rate: number;
  /** Whole, 2 to 20 000. */
  readonly lengthFrames: number;
  readonly width: number;
  readonly height: number;
  /** The film that it belongs to; none without it. */
  readonly film?: string;
  /** How wide the field is on the set, millimetres; no scale without it. */
  readonly widthMm?: number | null;
  /** What places are rounded to on a ruler, in the units of the sheet; not rounded without it. */
  readonly rulerStep?: number | null;
}

/** A shot with nothing in it yet: no arc, no figure, and no scale unless its width on the set is known. It is a sound one when its parts are. */
export function freshShot({
  name,
  rate,
  lengthFrames,
  width,
  height,
  film = '',
  widthMm = null,
  rulerStep = null,
}: FreshShot): Shot {
  return {
    format: SHOT_FORMAT,
    version: SHOT_VERSION,
    name,
    film,
    rate,
    lengthFrames,
    field: { width, height, unitsPerMm: widthMm === null ? null : width / widthMm },
    figures: [],
    arcs: [],
    moves: [],
    waiting: [],
    sheet: { units: widthMm === null ? 'field' : 'mm', rulerStep, numbering: 'frame' },
    backdrop: null,
    planes: [],
    gestures: [],
    ...PLAIN_SHOT,
  };
}
