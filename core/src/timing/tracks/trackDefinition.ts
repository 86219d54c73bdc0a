/**
 * Everything the core has to know of one track: a value of the figure that keys on frames change. A new track
 * is a file with one of these, and a line in the table of tracks.
 */
export interface TrackDefinition<Name extends string = string> {
  readonly name: Name;
  /** What a sentence about a file calls it: “key 3 of the turn”. */
  readonly said: string;
  readonly range: readonly [least: number, most: number];
  /** The value on every frame of a track without keys. */
  readonly resting: number;
  /** Whether its values are sizes, which may grow by a ratio or in depth: then they are above 0. */
  readonly grows: boolean;
  /** Whether its values are lengths in field units: what is read in other units is converted. */
  readonly isLength?: boolean;
  readonly column: string;
  /** The version of the format that added it without a step of migration: a file without it has no keys there. */
  readonly since?: number;
}

/** A definition, with the type of its name. */
export const defineTrack = <const Name extends string>(
  definition: TrackDefinition<Name>,
): TrackDefinition<Name> => definition;
