/** Differences below this share of a step are noise of the arithmetic, not of the move. */
const NOISE = 1e-9;

/**
 * A value on the nearest line of a ruler, half away from zero.
 * @param step distance between two lines, > 0
 */
export function roundToStep(value: number, step: number): number {
  const steps = Math.floor(Math.abs(value) / step + 0.5 + NOISE);
  const rounded = Math.sign(value) * steps * step;
  // A step of 0.1 has no exact double: without this 3 × 0.1 would read 0.30000000000000004.
  return Number(rounded.toPrecision(12)) + 0;
}
