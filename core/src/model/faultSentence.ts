import type { z } from 'zod';

/** Parts of a shot of which there are several, by their key: what one of them is called. */
const PARTS: Readonly<Record<string, string>> = {
  figures: 'figure',
  arcs: 'arc',
  moves: 'move',
  marks: 'mark',
  points: 'point',
  exposures: 'range of exposures',
  skips: 'skipped exposure',
  overrides: 'placement by hand',
  gestures: 'gesture',
  pictures: 'picture',
  fractions: 'tick of the chart',
  turn: 'key of the turn',
  size: 'key of the size',
  sizeDown: 'key of the size down',
  opacity: 'key of the opacity',
  offsetX: 'key of the offset across',
  offsetY: 'key of the offset down',
  drawings: 'drawing',
  outline: 'ring of the outline',
  waiting: 'figure that waits',
  riders: 'part of the figure',
  takes: 'take',
  timings: 'timing of the take',
  notes: 'note',
  cues: 'cue',
  letBe: 'finding that was let be',
};

/** Other keys, as the interface calls what they hold; the rest are read as they are written. */
const NAMES: Readonly<Record<string, string>> = {
  ...Object.fromEntries(Object.keys(PARTS).map((key) => [key, key])),
  exposures: 'ranges of exposures',
  skips: 'skipped exposures',
  overrides: 'placements by hand',
  turn: 'keys of the turn',
  size: 'keys of the size',
  sizeDown: 'keys of the size down',
  opacity: 'keys of the opacity',
  offsetX: 'keys of the offset across',
  offsetY: 'keys of the offset down',
  waiting: 'figures that wait',
  riders: 'parts of the figure',
  timings: 'timings of the take',
  letBe: 'findings that were let be',
  kept: 'timing of the take',
  startSeconds: 'start of the sound',
  planted: 'planted spot',
  follows: 'way it follows',
  sizePercent: 'size',
  opacityPercent: 'opacity',
  heightMm: 'real height',
  frontDeg: 'front',
  cornerFrames: 'frames of corners',
  startDrawing: 'first drawing of the cycle',
  advance: 'way of one cycle',
  fraction: 'place',
  lengthFrames: 'length in frames',
  framesHeld: 'exposure',
  framesEach: 'number of frames of each picture',
  unitsPerMm: 'scale',
  rulerStep: 'step of the ruler',
  turnDeg: 'turn',
  correctionDeg: 'facing',
  leaveFrames: 'frames of leaving',
  arriveFrames: 'frames of arriving',
  sha256: 'name of the file',
  in: 'handle before',
  out: 'handle after',
  ms: 'times',
  pointId: 'point',
  arcId: 'arc',
  figureId: 'figure',
};

const nameOf = (key: string): string => NAMES[key] ?? key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** `the place of mark 3 of move 1`; empty for the whole. */
function placeOf(path: readonly PropertyKey[]): string {
  const words: string[] = [];
  path.forEach((key, i) => {
    const next = path[i + 1];
    if (typeof key === 'number') words.unshift(`${PARTS[String(path[i - 1])] ?? 'part'} ${key + 1}`);
    else if (typeof next !== 'number') words.unshift(`the ${nameOf(String(key))}`);
  });
  return words.join(' of ');
}

function valueAt(data: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    data,
  );
}

const LONGEST_QUOTE = 30;
const written = (number: number | bigint): string =>
  number.toLocaleString('en-GB', { maximumFractionDigits: 6 });
const quoted = (value: unknown): string =>
  typeof value === 'number' ? written(value) : `“${String(value).slice(0, LONGEST_QUOTE)}”`;

function outOfRange(value: unknown, limit: number | bigint, end: 'most' | 'least', origin: string): string {
  if (origin === 'string')
    return end === 'least' ? 'is empty' : `is longer than ${written(limit)} characters`;
  if (origin === 'array')
    return `${Array.isArray(value) ? `are ${written(value.length)}` : 'are too many'}, and ${written(limit)} is the ${end}`;
  return `is ${quoted(value)}, and ${written(limit)} is the ${end}`;
}

function typeFault(value: unknown, expected: string): string {
  if (value === undefined) return 'is missing';
  if (expected === 'int') return `is ${quoted(value)}, and must be a whole number`;
  if (expected === 'number') return `is ${typeof value === 'number' ? 'too large' : 'not a number'}`;
  return 'is not what it should be';
}

/** What is wrong, as the end of a sentence that begins with what it is. */
function faultOf(issue: z.core.$ZodIssue, value: unknown): string {
  switch (issue.code) {
    case 'too_big':
      return outOfRange(value, issue.maximum, 'most', issue.origin);
    case 'too_small':
      return outOfRange(value, issue.minimum, 'least', issue.origin);
    case 'invalid_type':
      return typeFault(value, issue.expected);
    case 'invalid_value':
      return value === undefined ? 'is missing' : `is ${quoted(value)}, which is unknown`;
    case 'invalid_union':
      return 'is of an unknown kind';
    case 'custom':
      return `is wrong: ${issue.message}`;
    default:
      return 'is not written as it should be';
  }
}

/**
 * The first thing that a check by schema found, in the words of the interface and without an end: `the width
 * of picture 1 of the backdrop is 70,000, and 65,535 is the most`.
 * @param data what was checked
 */
export function firstFault(error: z.ZodError, data: unknown): string {
  const issue = error.issues[0];
  if (!issue) return 'it does not fit the format';
  const place = placeOf(issue.path);
  if (place === '' && issue.code === 'custom') return issue.message;
  return `${place || 'it'} ${faultOf(issue, valueAt(data, issue.path))}`;
}
