import type { z } from 'zod';
import { forEachTrack } from '../timing/tracks';

/** Parts of a shot of which there are several, by their key: what the n-th of them is called, and all of them. */
const PARTS: Readonly<Record<string, readonly [one: (n: number) => string, all: string]>> = {
  figures: [(n) => `figure ${n}`, 'figures'],
  arcs: [(n) => `arc ${n}`, 'arcs'],
  moves: [(n) => `move ${n}`, 'moves'],
  marks: [(n) => `mark ${n}`, 'marks'],
  points: [(n) => `point ${n}`, 'points'],
  exposures: [(n) => `range ${n} of exposures`, 'ranges of exposures'],
  skips: [(n) => `skipped picture ${n}`, 'skipped pictures'],
  overrides: [(n) => `placement by hand ${n}`, 'placements by hand'],
  gestures: [(n) => `gesture ${n}`, 'gestures'],
  pictures: [(n) => `picture ${n}`, 'pictures'],
  fractions: [(n) => `tick ${n} of the chart`, 'ticks of the chart'],
  ...forEachTrack(({ said }) => [(n: number) => `key ${n} of the ${said}`, `keys of the ${said}`] as const),
  drawings: [(n) => `drawing ${n}`, 'drawings'],
  outline: [(n) => `ring ${n} of the outline`, 'rings of the outline'],
  waiting: [(n) => `waiting figure ${n}`, 'waiting figures'],
  riders: [(n) => `part ${n}`, 'parts'],
  takes: [(n) => `take ${n}`, 'takes'],
  timings: [(n) => `timing ${n}`, 'timings'],
  notes: [(n) => `note ${n}`, 'notes'],
  cues: [(n) => `cue ${n}`, 'cues'],
  letBe: [(n) => `ignored finding ${n}`, 'ignored findings'],
  ms: [(n) => `time ${n}`, 'times'],
  actuals: [(n) => `place ${n} where a figure stood`, 'places where figures stood'],
};

const UNSAID: ReadonlySet<string> = new Set(['tracks', 'artwork', 'kept', 'move']);

/** Other keys, as the interface calls what they hold. A test asks that each key of the schema is here or in `PARTS`. */
const NAMES: Readonly<Record<string, string>> = {
  format: 'format',
  shoot: 'shooting',
  takeId: 'take',
  picture: 'picture',
  isHidden: 'setting “hidden”',
  isSetAside: 'setting “shot over”',
  planned: 'planned place',
  perspective: 'perspective',
  upperLeft: 'upper left corner',
  upperRight: 'upper right corner',
  lowerRight: 'lower right corner',
  lowerLeft: 'lower left corner',
  widthMm: 'real width',
  version: 'version',
  name: 'name',
  film: 'film',
  rate: 'frame rate',
  lengthFrames: 'length in frames',
  field: 'field',
  width: 'width',
  height: 'height',
  unitsPerMm: 'scale',
  id: 'id',
  artwork: 'artwork',
  kind: 'kind',
  standIn: 'stand-in',
  sha256: 'checksum',
  type: 'file type',
  frames: 'number of frames',
  planted: 'planted spot',
  x: 'place across',
  y: 'place down',
  contact: 'number of the planted part',
  heightMm: 'real height',
  pivot: 'pivot',
  frontDeg: 'front',
  hidden: 'setting “hidden”',
  locked: 'setting “locked”',
  closed: 'setting “closed”',
  in: 'handle before',
  out: 'handle after',
  shaping: 'shaping',
  tighten: 'tightness',
  sharpen: 'sharpness',
  lean: 'lean',
  shape: 'ready shape',
  reversed: 'direction',
  from: 'beginning',
  to: 'end',
  through: 'point it goes through',
  centre: 'centre',
  radiusX: 'radius across',
  radiusY: 'radius down',
  turnDeg: 'turn',
  startDeg: 'starting angle',
  isRound: 'setting “round”',
  cornerRadius: 'corner radius',
  hang: 'hanging point',
  length: 'length',
  fromDeg: 'first angle',
  toDeg: 'last angle',
  count: 'count',
  restitution: 'bounciness',
  innerRadius: 'inner radius',
  outerRadius: 'outer radius',
  turns: 'number of turns',
  colour: 'colour',
  frame: 'frame',
  fraction: 'place on the arc',
  easing: 'easing',
  leaveFrames: 'number of frames to leave',
  arriveFrames: 'number of frames to arrive',
  ramp: 'kind of ramp',
  at: 'place of the easing',
  strength: 'strength',
  overshoot: 'overshoot',
  swings: 'swings',
  backFrames: 'number of frames to wind up',
  back: 'distance to wind up',
  x1: 'first time of the curve',
  y1: 'first value of the curve',
  x2: 'second time of the curve',
  y2: 'second value of the curve',
  pointId: 'point',
  label: 'label',
  before: 'setting for the frames before',
  after: 'setting for the frames after',
  framesHeld: 'exposure',
  until: 'end',
  cut: 'picture that was taken out',
  dx: 'distance across',
  dy: 'distance down',
  check: 'check',
  physics: 'physics',
  damping: 'damping',
  rolls: 'kind of rolling',
  miniature: 'scale of the miniature',
  drawing: 'drawing',
  cycle: 'cycle',
  by: 'kind',
  startDrawing: 'first drawing',
  advance: 'distance per cycle',
  acted: 'acting',
  gestureId: 'gesture',
  allowedDeviation: 'allowed deviation',
  tracks: 'tracks',
  value: 'value',
  growth: 'growth',
  figureId: 'figure',
  arcId: 'arc',
  turnsWithArc: 'setting “turns with the arc”',
  correctionDeg: 'facing',
  mirrored: 'setting “mirrored”',
  backwards: 'setting for travel backwards',
  cornerFrames: 'number of frames for a corner',
  smoothFrames: 'number of smoothed frames',
  mostDeg: 'largest lean',
  sizesApart: 'setting “separate width and height”',
  offsetIn: 'kind of offset',
  follows: 'way of following',
  distance: 'distance',
  rides: 'kind of riding',
  onSecond: 'place on a second arc',
  pastEnds: 'setting past the ends',
  offset: 'offset',
  sizePercent: 'size',
  opacityPercent: 'opacity',
  bends: 'setting “bends”',
  inFront: 'setting “in front”',
  keeps: 'setting for a changed shape',
  move: 'timing',
  speed: 'speed',
  sheet: 'sheet',
  units: 'unit',
  rulerStep: 'step of the ruler',
  backdrop: 'backdrop',
  framesEach: 'number of frames for each picture',
  kept: 'timing',
  moveId: 'move',
  text: 'text',
  seconds: 'time in seconds',
  word: 'word',
  sound: 'sound',
  startSeconds: 'start in seconds',
  thresholds: 'thresholds',
  changeMm: 'threshold for a change of spacing in millimetres',
  changeUnits: 'threshold for a change of spacing in units',
  changeShare: 'threshold for a change of spacing',
  handMm: 'smallest step by hand in millimetres',
  handUnits: 'smallest step by hand in units',
  offShare: 'threshold for a picture off the arc',
  slipShare: 'threshold for slip',
  marginShare: 'safe margin',
};

const PLURAL: ReadonlySet<string> = new Set([
  ...Object.values(PARTS).map(([, all]) => all),
  'tracks',
  'thresholds',
  'physics',
  'swings',
]);

export const isNamed = (key: string): boolean => key in PARTS || key in NAMES;

const nameOf = (key: string): string =>
  PARTS[key]?.[1] ?? NAMES[key] ?? key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** What is wrong, by what it is called and where it is: `the place on the arc of mark 3 of move 1`; empty for the whole. */
export function partAt(path: readonly PropertyKey[]): string {
  const words: string[] = [];
  path.forEach((key, i) => {
    const isLast = i === path.length - 1;
    if (typeof key === 'number') {
      const list = String(path[i - 1]);
      words.unshift(
        typeof path[i - 1] === 'number'
          ? `number ${key + 1}`
          : (PARTS[list]?.[0](key + 1) ?? `item ${key + 1}`),
      );
    } else if (typeof path[i + 1] !== 'number' && (isLast || !UNSAID.has(String(key))))
      words.unshift(`the ${nameOf(String(key))}`);
  });
  return words.join(' of ');
}

const isPlural = (path: readonly PropertyKey[]): boolean => {
  const last = path[path.length - 1];
  return typeof last === 'string' && PLURAL.has(nameOf(last));
};

function valueAt(data: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    data,
  );
}

const MAX_QUOTE_LENGTH = 30;
const written = (number: number | bigint): string =>
  number.toLocaleString('en-GB', { maximumFractionDigits: 6 });
function quoted(value: unknown): string {
  if (typeof value === 'number') return written(value);
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object' && value !== null) return 'an object';
  const text = String(value);
  return `“${text.length > MAX_QUOTE_LENGTH ? `${text.slice(0, MAX_QUOTE_LENGTH)}…` : text}”`;
}

const TYPES: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'an object with fields of its own',
  record: 'an object with fields of its own',
  null: 'null',
};

/** How texts of some kinds are written. */
const WRITTEN_AS: Readonly<Record<string, string>> = {
  sha256: '64 digits from 0 to 9 and a to f',
};

function outOfRange(value: unknown, limit: number | bigint, end: 'most' | 'least', origin: string): string {
  if (origin === 'string')
    return end === 'least' ? 'is empty' : `is longer than ${written(limit)} characters`;
  if (origin === 'array')
    return `${Array.isArray(value) ? `are ${written(value.length)}` : 'are too many'}, and ${written(limit)} is the ${end}`;
  return `is ${quoted(value)}, and ${written(limit)} is the ${end}`;
}

function typeFault(value: unknown, expected: string, verb: 'is' | 'are'): string {
  if (value === undefined) return `${verb} missing`;
  if (expected === 'number' && typeof value === 'number') return 'is too large a number';
  return `${verb} ${quoted(value)}, and must be ${TYPES[expected] ?? `of the type ${expected}`}`;
}

function faultOf(issue: z.core.$ZodIssue, value: unknown): string {
  const verb = isPlural(issue.path) ? 'are' : 'is';
  switch (issue.code) {
    case 'too_big':
      return outOfRange(value, issue.maximum, 'most', issue.origin);
    case 'too_small':
      return outOfRange(value, issue.minimum, 'least', issue.origin);
    case 'invalid_type':
      return typeFault(value, issue.expected, verb);
    case 'invalid_value':
      if (value === undefined) return `${verb} missing`;
      return `is ${quoted(value)}, and must be ${listed(issue.values)}`;
    case 'invalid_union':
      if (value === undefined) return `${verb} missing`;
      return 'discriminator' in issue && issue.discriminator
        ? `is ${quoted(value)}, which is unknown`
        : `is ${quoted(value)}, which cannot be`;
    case 'invalid_format': {
      const how = WRITTEN_AS[String(issue.path[issue.path.length - 1])];
      return `is ${quoted(value)}, and must be ${how ?? 'written otherwise'}`;
    }
    case 'custom':
      return `${verb} wrong: ${issue.message}`;
    default:
      return `${verb} not what belongs there`;
  }
}

const LISTED = 12;

function listed(values: readonly unknown[]): string {
  const shown = values
    .slice(0, LISTED)
    .map((value) => (typeof value === 'string' ? `“${value}”` : String(value)));
  if (values.length > LISTED) return `one of ${shown.join(', ')} …`;
  return shown.length === 1 ? shown[0]! : `${shown.slice(0, -1).join(', ')} or ${shown[shown.length - 1]!}`;
}

/**
 * The first thing that a check by schema found, in the words of the interface and without an end: `the width
 * of picture 1 of the backdrop is 70,000, and 65,535 is the most`.
 * @param data what was checked
 */
export function firstFault(error: z.ZodError, data: unknown): string {
  const issue = error.issues[0];
  if (!issue) return 'it does not fit the format';
  const place = partAt(issue.path);
  if (place === '' && issue.code === 'custom') return issue.message;
  return `${place || 'it'} ${faultOf(issue, valueAt(data, issue.path))}`;
}
