import Papa from 'papaparse';
import { ShotError } from '../model/errors';
import { gestureFrom, type RawGesture } from '../gesture/gesture';
import { MAX_COORDINATE, MAX_SHOT_FRAMES } from '../model/limits';

/** Positions that were tracked elsewhere, as a gesture, and the frame of the first of them. */
export interface TrackedPositions {
  readonly gesture: RawGesture;
  readonly firstFrame: number;
  readonly frames: number;
}

/** Of wrong lines so many are named; the others are counted. */
const MAX_NAMED = 5;
const TIME_COLUMNS = ['frame', 'seconds'] as const;

interface Line {
  readonly number: number;
  readonly cells: readonly string[];
}

const broken = (sentence: string): ShotError => new ShotError('invalid-csv', sentence);

function linesOf(text: string): Line[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false });
  return data
    .map((cells, i) => ({ number: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
}

/** What is wrong with a line; null when nothing is. */
function complaint(
  time: number,
  [x, y]: readonly [number, number],
  before: number,
  isFrames: boolean,
): string | null {
  if (![time, x, y].every(Number.isFinite)) return 'is not three numbers';
  if (isFrames && !Number.isInteger(time)) return 'has a frame that is not whole';
  if (isFrames && (time < 1 || time > MAX_SHOT_FRAMES)) return `has a frame outside 1 to ${MAX_SHOT_FRAMES}`;
  if (!isFrames && time < 0) return 'lies before the start';
  if (time <= before) return 'does not come after the one before';
  if (Math.abs(x) > MAX_COORDINATE || Math.abs(y) > MAX_COORDINATE) return 'lies too far outside the field';
  return null;
}

const numberOf = (cell: string | undefined): number => (cell ? Number(cell.replace(',', '.')) : NaN);

/**
 * Reads positions that were tracked elsewhere: columns `frame` or `seconds`, `x` and `y` in field units. The
 * figure is taken to have gone straight between them.
 * @param rate frames a second: what the seconds are counted in
 * @throws ShotError `invalid-csv` with a sentence that names the lines that are wrong
 */
export function readTrackedCsv(text: string, rate: number): TrackedPositions {
  const [head, ...lines] = linesOf(text);
  const columns = head?.cells.map((cell) => cell.toLowerCase()) ?? [];
  const timeColumn = TIME_COLUMNS.find((name) => columns.includes(name));
  const [x, y] = [columns.indexOf('x'), columns.indexOf('y')];
  if (!timeColumn || x < 0 || y < 0)
    throw broken('Tracked positions need a head with the columns frame or seconds, x and y.');
  const isFrames = timeColumn === 'frame';
  const wrong: string[] = [];
  const samples: { x: number; y: number; ms: number }[] = [];
  let before = -Infinity;
  let first = 1;
  for (const { number, cells } of lines) {
    const time = numberOf(cells[columns.indexOf(timeColumn)]);
    const point = [numberOf(cells[x]), numberOf(cells[y])] as const;
    const what = complaint(time, point, before, isFrames);
    if (what) wrong.push(`line ${number} ${what}`);
    else {
      if (samples.length === 0) first = isFrames ? time : 1 + Math.round(time * rate);
      before = time;
      samples.push({ x: point[0], y: point[1], ms: 1000 * (isFrames ? time / rate : time) });
    }
  }
  if (wrong.length > 0) {
    const more = wrong.length > MAX_NAMED ? `, and ${wrong.length - MAX_NAMED} more` : '';
    throw broken(`Nothing was taken: ${wrong.slice(0, MAX_NAMED).join('; ')}${more}.`);
  }
  if (samples.length < 2) throw broken('Tracked positions need at least two lines.');
  const seconds = (samples[samples.length - 1]!.ms - samples[0]!.ms) / 1000;
  return {
    gesture: gestureFrom(samples, 1),
    firstFrame: first,
    frames: Math.max(1, Math.round(seconds * rate)),
  };
}
