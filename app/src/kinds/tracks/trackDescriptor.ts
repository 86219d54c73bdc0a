/**
 * Everything the interface has to know of one track. A new track is a file with one of these, and a line in the
 * table.
 */
export interface TrackDescriptor {
  readonly label: string;
  readonly sentence: string;
  readonly unit: string;
  readonly decimals: number;
  readonly step: number;
  /** A strip shows at least so much, in the track's unit, so that small values do not look large. */
  readonly leastShown: number;
}
