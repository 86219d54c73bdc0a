import Papa from 'papaparse';
import { ShotError } from '../errors';
import { LONGEST_SHOT, type Shot } from '../shot/schema';
import { type IncrementRow, incrementTable } from '../spacing/increments';

/** Columns of the increments file, in order. `docs/file-format.md` says what each holds. */
export const INCREMENT_COLUMNS = [
  'move',
  'figure',
  'frame',
  'held',
  'place',
  'percent',
  'x',
  'y',
  'along',
  'straight',
  'dx',
  'dy',
  'heading_deg',
  'heading_change_deg',
  'total',
  'ruler',
  'ruler_total',
  'units',
] as const;

const DECIMALS = 6;

const written = (value: number | null): string =>
  value === null ? '' : String(Number(value.toFixed(DECIMALS)) + 0);

function line(row: IncrementRow): string[] {
  return [
    String(row.frame),
    String(row.framesHeld),
    ...[
      row.place,
      row.percent,
      row.x,
      row.y,
      row.along,
      row.straight,
      row.dx,
      row.dy,
      row.headingDeg,
      row.headingChangeDeg,
      row.total,
      row.ruler,
      row.rulerTotal,
    ].map(written),
  ];
}

/** A figure's name that a spreadsheet would take for a formula gets an apostrophe in front. */
const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/** The increments of some or all moves as CSV: a header, then one line for each exposure. */
export function writeIncrementsCsv(shot: Shot, moveIds?: readonly string[]): string {
  const moves = shot.moves.filter((move) => !moveIds || moveIds.includes(move.id));
  const lines = moves.flatMap((move) => {
    const table = incrementTable(shot, move);
    const figure = shot.figures.find((candidate) => candidate.id === move.figureId);
    const name = harmless(figure?.name ?? '');
    return table.rows.map((row) => [move.id, name, ...line(row), table.units]);
  });
  return `${Papa.unparse({ fields: [...INCREMENT_COLUMNS], data: lines }, { newline: '\n' })}\n`;
}

/** What is read back from an increments file: positions in time, in the file's own units. */
export interface PlacedFrame {
  readonly frame: number;
  /** Distance from the start of the arc. */
  readonly place: number;
  readonly x: number;
  readonly y: number;
}

export interface ReadIncrements {
  readonly units: 'field' | 'mm';
  readonly frames: readonly PlacedFrame[];
}

const broken = (sentence: string): ShotError => new ShotError('invalid-csv', sentence);

function numberIn(cells: Record<string, string>, column: string, lineNumber: number): number {
  const text = cells[column]?.trim() ?? '';
  const value = Number(text);
  if (text === '' || !Number.isFinite(value))
    throw broken(`Line ${lineNumber}: ${column} is “${text.slice(0, 20)}”, which is not a number.`);
  return value;
}

/**
 * Reads an increments file as `writeIncrementsCsv` writes it. Only `frame`, `place`, `x` and `y` are
 * taken; the rest follows from them. Of a file with several moves the first is read.
 * @throws ShotError `invalid-csv` with a sentence that names the line
 */
export function readIncrementsCsv(text: string): ReadIncrements {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (header) => header.trim().toLowerCase(),
  });
  const columns = parsed.meta.fields ?? [];
  const missing = ['frame', 'place', 'x', 'y'].filter((column) => !columns.includes(column));
  if (missing.length > 0) throw broken(`This table has no column ${missing.join(', ')}.`);
  const firstMove = parsed.data[0]?.move;
  const rows = parsed.data
    .map((cells, i) => ({ cells, lineNumber: i + 2 }))
    .filter(({ cells }) => cells.move === firstMove);
  if (rows.length < 2) throw broken('This table has fewer than two exposures.');
  let before = 0;
  const frames = rows.map(({ cells, lineNumber }): PlacedFrame => {
    const frame = numberIn(cells, 'frame', lineNumber);
    if (!Number.isInteger(frame) || frame < 1 || frame > LONGEST_SHOT)
      throw broken(`Line ${lineNumber}: frame must be a whole number from 1 to ${LONGEST_SHOT}.`);
    if (frame <= before) throw broken(`Line ${lineNumber}: frame ${frame} does not follow frame ${before}.`);
    before = frame;
    return {
      frame,
      place: numberIn(cells, 'place', lineNumber),
      x: numberIn(cells, 'x', lineNumber),
      y: numberIn(cells, 'y', lineNumber),
    };
  });
  return { units: rows[0]!.cells.units?.trim() === 'mm' ? 'mm' : 'field', frames };
}
