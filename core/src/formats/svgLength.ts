import { ShotError } from '../model/errors';
import { MAX_COORDINATE } from '../model/limits';

/** Pixels of each unit of length, at 96 to the inch as CSS has it. */
const PIXELS: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  pt: 96 / 72,
  pc: 16,
};

/**
 * A length of an SVG in pixels; null for one that is none, or is given as a share of something else.
 * @throws ShotError `invalid-svg` for a number that no coordinate can be
 */
export function svgPixels(length: string | null | undefined): number | null {
  const [, value, unit = ''] =
    /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*([a-z]*)\s*$/i.exec(length ?? '') ?? [];
  const factor = PIXELS[unit];
  if (value === undefined || factor === undefined) return null;
  if (!(Math.abs(Number(value)) * factor <= MAX_COORDINATE))
    throw new ShotError('invalid-svg', `${value.slice(0, 20)} is too large a number`);
  return Number(value) * factor;
}
