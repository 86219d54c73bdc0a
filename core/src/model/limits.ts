/** The limits of a shot, each stated here and nowhere else. Those of pictures are in `pictureLimits.ts`. */

export const LONGEST_NAME = 120;
export const LONGEST_LABEL = 40;
/** Frames. */
export const LONGEST_SHOT = 20_000;
/** Of one arc. */
export const MOST_POINTS = 5_000;
/** Of one move; keys of one track, and ranges of exposures, as many. */
export const MOST_MARKS = 5_000;
/** Figures, arcs and moves of a shot, of each. */
export const MOST_PARTS = 200;
/** Frames per second. */
export const RATE = { least: 1, most: 240 } as const;
/** Sides of the field, units. */
export const FIELD_SIDE = { least: 16, most: 20_000 } as const;
/** Degrees that a figure may be turned by: a hundred times round. */
export const FURTHEST_TURN = 36_000;
