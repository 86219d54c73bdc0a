import { type PointShape, type Vector } from '@humble/core';
import { fitStroke } from '@humble/core/views';

/** Fits points to a stroke. On the web that happens in a worker, so that the hand is never held up. */
export const fitAside = (
  samples: readonly Vector[],
  allowedDeviation: number,
): Promise<readonly PointShape[]> => Promise.resolve(fitStroke(samples, { allowedDeviation }));
