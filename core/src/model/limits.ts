/** The limits of a shot, each stated here and nowhere else. Those of pictures are in `pictureLimits.ts`. */

export const MAX_NAME_LENGTH = 120;
export const MAX_LABEL_LENGTH = 40;
export const MAX_SHOT_FRAMES = 20_000;
export const MAX_POINTS = 5_000;
export const MAX_MARKS = 5_000;
export const MAX_PARTS = 200;
export const MAX_RIDERS = 60;
export const RATE = { min: 1, max: 240 } as const;
export const FIELD_SIDE = { min: 16, max: 20_000 } as const;
/** Degrees that a figure may be turned by: a hundred times round. */
export const MAX_TURN_DEG = 36_000;
/** The furthest a coordinate may lie from the field's corner, field units. */
export const MAX_COORDINATE = 1e7;

/** The furthest a pivot may lie from the corner of its artwork, in the artwork's units. */
export const MAX_PIVOT = 1e6;

/** Speeds at which a gesture may be recorded; 1 is true speed. */
export const MIN_RECORDING_SPEED = 0.25;
export const MAX_RECORDING_SPEED = 2;
export const MAX_SAMPLES = 180_000;
export const MAX_GESTURES = 50;
/** Samples of all gestures of a shot together: about half an hour, or 6 MB of a file that may have 8. */
export const MAX_SAMPLES_OF_SHOT = 250_000;
export const MAX_SEQUENCE_LENGTH = 2_000;
export const MAX_CONTACTS = 4;
export const MAX_OUTLINE_RINGS = 6;
export const MAX_OUTLINE_POINTS = 48;
/** Pins of one pair of drawings, and pairs of one figure. */
export const MAX_PINS = 24;
export const MAX_DRAWING_PAIRS = 200;
/** The most frames that a pin leads or follows by. */
export const MAX_PIN_FOLLOWS = 240;
/** Shakes of one move. */
export const MAX_SHAKES = 20;
/** Pictures in depth, the backdrop among them, and how far away they may be: 1 is the plane of the arcs. */
export const MAX_PLANES = 12;
export const PLANE_DISTANCE = { min: 0.2, max: 100 } as const;
/** Followed spots of one figure or part. */
export const MAX_FOLLOWED_SPOTS = 12;

/**
 * The last frame that a mark may lie on. Round a closed arc it may lie one frame past the shot: there the
 * figure is where it began, and a loop shows that place once.
 */
export const lastFrameFor = (lengthFrames: number, isClosed: boolean): number =>
  lengthFrames + (isClosed ? 1 : 0);

export const MAX_SHOTS_OF_FILM = 1_000;

/** A heading or a lean is smoothed over at most so many frames. */
export const MAX_SMOOTH_FRAMES = 240;

/** Of a timing by weight. */
export const PHYSICAL = {
  maxDamping: 0.95,
  maxSwings: 100,
  minMiniature: 0.1,
  maxMiniature: 1000,
} as const;

/** Takes of one shot, the current one among them. */
export const MAX_TAKES = 20;
/** Pictures of one shot that were taken under the camera, those shot over among them. */
export const MAX_TAKEN = 5_000;
/** Sides of a sheet that lies on the set to measure its perspective, millimetres. */
export const SHEET_OF_PAPER_MM = { min: 5, max: 100_000 } as const;
export const MAX_NOTE_LENGTH = 500;
export const MAX_NOTES = 2_000;
/** Letters of a cue's word, and cues of one shot. */
export const MAX_CUE_LENGTH = 80;
export const MAX_CUES = 5_000;
export const MAX_SOUND_SECONDS = 6 * 3600;
/** A sound begins at most so long before the shot or after its start, seconds. */
export const MAX_SOUND_OFFSET_SECONDS = 3600;
/** The most bytes that a sound may have. */
export const MAX_SOUND_BYTES = 30_000_000;

/** The most that a threshold may be; none is below 0. */
export const MAX_THRESHOLDS = {
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
