import type { ArcMeasure } from '../arc/arcMeasure';

/** The distance from the start of an arc at a share of its length: on an open arc no further than its ends. */
export const distanceOn = ({ length, closed }: ArcMeasure, fraction: number): number =>
  closed ? fraction * length : Math.min(Math.max(fraction * length, 0), length);
