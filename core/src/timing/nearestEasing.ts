import type { Easing } from '../model/schema';
import { easedDistance } from './easedDistance';
import { EASINGS } from './easings';
import type { ChartDistance } from './easings/easingDefinition';

export interface NearEasing {
  readonly easing: Easing;
  /** The most that any tick is away from where the chart has it, share of the way. */
  readonly error: number;
}

/** A tick of a chart: so many frames into its span, at that share of the way. */
export interface ChartTick {
  readonly x: number;
  readonly share: number;
}

/** A simpler easing is taken before one that is nearer by less than this share of the way. */
const SIMPLER_BY = 5e-4;

function distanceFrom(ticks: readonly ChartTick[], frames: number): ChartDistance<Easing> {
  const away = (easing: Easing): number[] =>
    ticks.map(({ x, share }) => easedDistance(easing, x, frames, 1) - share);
  return {
    square: (easing) => away(easing).reduce((sum, off) => sum + off * off, 0),
    largest: (easing) => away(easing).reduce((most, off) => Math.max(most, Math.abs(off)), 0),
  };
}

/**
 * The easings nearest to a chart, the best first: of each kind those that fit best in the mean square. A
 * simpler kind comes before one that is hardly nearer.
 * @param ticks between the ends of the span
 * @param frames length of the span, ≥ 1
 */
export function nearestEasings(ticks: readonly ChartTick[], frames: number): readonly NearEasing[] {
  const distance = distanceFrom(ticks, frames);
  // The table has the simpler ones first.
  return EASINGS.flatMap(({ nearest }) => nearest?.(distance, frames) ?? [])
    .map((easing, rank) => ({ easing, error: distance.largest(easing), rank }))
    .sort((a, b) => a.error + a.rank * SIMPLER_BY - (b.error + b.rank * SIMPLER_BY))
    .map(({ easing, error }) => ({ easing, error }));
}
