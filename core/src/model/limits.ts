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
/** Riders of one move. */
export const MOST_RIDERS = 60;
/** Frames per second. */
export const RATE = { least: 1, most: 240 } as const;
/** Sides of the field, units. */
export const FIELD_SIDE = { least: 16, most: 20_000 } as const;
/** Degrees that a figure may be turned by: a hundred times round. */
export const FURTHEST_TURN = 36_000;
/** The furthest a coordinate may lie from the field's corner, field units. */
export const FURTHEST = 1e7;

/** The furthest a pivot may lie from the corner of its artwork, in the artwork's units. */
export const FURTHEST_PIVOT = 1e6;

/** Speeds at which a gesture may be recorded; 1 is true speed. */
export const SLOWEST_RECORDING = 0.25;
export const FASTEST_RECORDING = 2;
/** Of one gesture. */
export const MOST_SAMPLES = 180_000;
export const MOST_GESTURES = 50;
/** Samples of all gestures of a shot together: about half an hour, or 6 MB of a file that may have 8. */
export const MOST_KEPT_SAMPLES = 250_000;
/** Pictures of a backdrop, and drawings of a figure. */
export const LONGEST_SEQUENCE = 2_000;
/** Parts of a figure that are planted by turns. */
export const MOST_CONTACTS = 4;
/** Of the outline of one drawing, and points of each of its rings. */
export const MOST_OUTLINE_RINGS = 6;
export const MOST_OUTLINE_POINTS = 48;

/**
 * The last frame that a mark may lie on. Round a closed arc it may lie one frame past the shot: there the
 * figure is where it began, and a loop shows that place once.
 */
export const lastFrameFor = (lengthFrames: number, isClosed: boolean): number =>
  lengthFrames + (isClosed ? 1 : 0);

/** The most shots that a film may have in one file. */
export const MOST_SHOTS_OF_FILM = 1_000;

/** A heading or a lean is smoothed over at most so many frames. */
export const MOST_SMOOTH_FRAMES = 240;

/** Of a timing by weight. */
export const PHYSICAL = {
  mostDamping: 0.95,
  mostSwings: 100,
  leastMiniature: 0.1,
  mostMiniature: 1000,
} as const;

/** Takes of one shot, the current one among them. */
export const MOST_TAKES = 20;
export const LONGEST_NOTE = 500;
/** Of one shot. */
export const MOST_NOTES = 2_000;
/** Letters of a cue's word, and cues of one shot. */
export const LONGEST_CUE = 80;
export const MOST_CUES = 5_000;
/** Of a sound; a cue may lie as late as that, seconds. */
export const LONGEST_SOUND = 6 * 3600;
/** A sound begins at most so long before the shot or after its start, seconds. */
export const FURTHEST_SOUND = 3600;
/** The most bytes that a sound may have. */
export const LARGEST_SOUND = 30 * 1024 * 1024;

/** The most that a threshold may be; none is below 0. */
export const MOST_OF_THRESHOLD = {
  changeMm: 1e6,
  changeUnits: 1e6,
  changeShare: 100,
  handMm: 1e6,
  handUnits: 1e6,
  offShare: 100,
  turnDeg: 360,
  slipShare: 100,
  marginShare: 0.4,
} as const;
