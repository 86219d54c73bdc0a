/** Ghosts fade in this many steps; those of one step are one shape to draw. */
export const FADES = 4;

/** How strongly a step is seen, 0 to 1. */
export const strengthOf = (step: number): number => 0.85 - (0.6 * step) / FADES;

/** A ghost that is fainter than this share of the faintest step is not drawn. */
const MIN_SHARE = 0.5;

/**
 * The step that a ghost is drawn with: further in time is fainter, and so is what the figure's opacity fades.
 * @param index of the ghost, the nearest in time first
 * @param opacity of the figure there, 0 to 1
 * @returns null where so little of it is left that it is not drawn
 */
export function ghostStep(index: number, count: number, opacity: number): number | null {
  const byTime = Math.min(FADES - 1, Math.floor(((index + 0.5) * FADES) / count));
  if (opacity === 1) return byTime;
  const wanted = strengthOf(byTime) * opacity;
  if (wanted < strengthOf(FADES - 1) * MIN_SHARE) return null;
  let nearest = byTime;
  for (let step = byTime + 1; step < FADES; step++)
    if (Math.abs(strengthOf(step) - wanted) < Math.abs(strengthOf(nearest) - wanted)) nearest = step;
  return nearest;
}
