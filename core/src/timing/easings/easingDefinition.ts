import type { z } from 'zod';
import type { Zod } from '../../model/zod';

/** How far an easing is from a chart, share of the way: the mean square for searching, the largest for saying. */
export interface ChartDistance<Easing> {
  readonly square: (easing: Easing) => number;
  readonly largest: (easing: Easing) => number;
}

/**
 * Everything the core has to know of one kind of easing. A new kind is a file with one of these, and a line in
 * the table of easings.
 */
export interface EasingDefinition<Schema extends z.ZodObject, Easing = z.infer<Schema>> {
  readonly kind: string;
  readonly schema: (z: Zod) => Schema;
  /**
   * How far a span has travelled x frames after its first mark.
   * @param x real, 0 < x < frames
   * @param frames length of the span, > 0
   * @param distance of the whole span, signed; the result has the same unit
   */
  readonly distanceAt: (easing: Easing, x: number, frames: number, distance: number) => number;
  /**
   * One to start from.
   * @param before the share of the way that was there before, at so many frames into the span
   */
  readonly fresh: (frames: number, before: (x: number) => number) => Easing;
  /** The same for a span of another length, for what is counted in frames. @param factor new frames over old */
  readonly stretched?: (easing: Easing, factor: number) => Easing;
  /** The same travelled back: 1 − e(1 − u); none where only a chart can say it. */
  readonly reversed?: (easing: Easing) => Easing;
  /**
   * The easings of both parts of a span that is divided on a frame, where numbers can say them; null or none
   * where only a chart can.
   */
  readonly split?: (
    easing: Easing,
    x: number,
    frames: number,
  ) => readonly [before: Easing | { readonly kind: 'even' }, after: Easing] | null;
  /** Those of this kind that come nearest to a chart; none for a kind that is never proposed. */
  readonly nearest?: (distance: ChartDistance<Easing>, frames: number) => readonly Easing[];
}

export const defineEasing = <Schema extends z.ZodObject>(
  definition: EasingDefinition<Schema>,
): EasingDefinition<Schema> => definition;
