import type { PointShape, Vector } from '@humble/core';
import { type Remote, wrap } from 'comlink';
import type { Fitter } from './fit.worker';

let fitter: Remote<Fitter> | null = null;

/** Fits points to a stroke in a worker, so that the hand is never held up. */
export function fitAside(
  samples: readonly Vector[],
  allowedDeviation: number,
): Promise<readonly PointShape[]> {
  fitter ??= wrap<Fitter>(new Worker(new URL('./fit.worker.ts', import.meta.url)));
  return fitter.fit(samples, { allowedDeviation });
}
