import type { Shot } from './schema';
import { SHOT_FORMAT, SHOT_VERSION } from './version';

export interface FreshShot {
  readonly name: string;
  readonly rate: number;
  readonly lengthFrames: number;
  /** Size of the field, field units. */
  readonly width: number;
  readonly height: number;
  readonly film?: string;
}

/** A shot with nothing in it yet. */
export function freshShot({ name, rate, lengthFrames, width, height, film = '' }: FreshShot): Shot {
  return {
    format: SHOT_FORMAT,
    version: SHOT_VERSION,
    name,
    film,
    rate,
    lengthFrames,
    field: { width, height, unitsPerMm: null },
    figures: [],
    arcs: [],
    moves: [],
    sheet: { units: 'field', rulerStep: null },
    backdrop: null,
    gestures: [],
  };
}
