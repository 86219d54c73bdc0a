import { FIELD_SIDE } from './limits';
import type { Field } from './schema';

/** Sides of a field are rounded to this, field units. */
const STEP = 0.1;

/**
 * The size of a field in a format, by one of its sides. A side that the other would have no room for is changed as far
 * as both are allowed.
 * @param format width ÷ height, > 0
 */
export function inFormat(
  side: 'width' | 'height',
  length: number,
  format: number,
): Pick<Field, 'width' | 'height'> {
  const { min, max } = FIELD_SIDE;
  const wanted = side === 'width' ? length / format : length;
  const height = Math.min(max, max / format, Math.max(min, min / format, wanted));
  const rounded = (value: number): number => Math.min(max, Math.max(min, Math.round(value / STEP) * STEP));
  const settled = (value: number): number => Number(rounded(value).toFixed(1));
  return { width: settled(height * format), height: settled(height) };
}
