import { type FirstFrameNumber, frameName, frameNumbered, sentenceWith } from '../model/frameNumbers';
import { TRACKS } from '../timing/tracks';
import { MAX_SHOT_FRAMES, RATE } from '../model/limits';
import { brokenTable, type CsvLine, type CsvTable, numberInCell, readCsvTable } from './csvTable';

export const PLACE_COLUMNS = ['place', 'percent', 'along', 'total', 'ruler', 'ruler_total'] as const;
export type PlaceColumn = (typeof PLACE_COLUMNS)[number];

export interface ReadRow {
  readonly line: number;
  readonly frame: number;
  readonly values: Readonly<Record<string, number | null>>;
}

export interface ReadIncrements {
  readonly units: 'field' | 'mm';
  readonly columns: readonly string[];
  readonly rows: readonly ReadRow[];
}

export interface ReadMove extends ReadIncrements {
  /** Name of its figure; empty where the file has none. */
  readonly figure: string;
}

/** A whole increments file: of the shot it says what it can, null for the rest. */
export interface ReadTable {
  readonly moves: readonly ReadMove[];
  readonly rate: number | null;
  readonly take: string | null;
}

const READ_COLUMNS = [
  ...PLACE_COLUMNS,
  'held',
  'x',
  'y',
  'straight',
  'dx',
  'dy',
  'heading_deg',
  'heading_change_deg',
  ...TRACKS.map(({ column }) => column),
  'pivot_x',
  'pivot_y',
  'drawing',
];

function frameIn(table: CsvTable, line: CsvLine, before: number, first: FirstFrameNumber): number {
  const number = numberInCell(table, line, 'frame');
  const frame = number === null ? null : frameNumbered(number, first);
  // Round a closed arc the last line is one frame past the shot.
  if (frame === null || !Number.isInteger(frame) || frame < 1 || frame > MAX_SHOT_FRAMES + 1)
    throw brokenTable(
      sentenceWith`Line ${line.number}: frame must be a whole number from ${frameName(1)} to ${frameName(MAX_SHOT_FRAMES)}.`,
    );
  if (frame <= before)
    throw brokenTable(
      sentenceWith`Line ${line.number}: frame ${frameName(frame)} does not follow frame ${frameName(before)}.`,
    );
  return frame;
}

/** The table of a file, and which of the known columns it has. @throws ShotError `invalid-csv` */
function opened(text: string): { readonly table: CsvTable; readonly columns: readonly string[] } {
  const table = readCsvTable(text);
  if (!table.columns.includes('frame')) throw brokenTable('This table has no column frame.');
  const columns = READ_COLUMNS.filter((column) => table.columns.includes(column));
  if (!PLACE_COLUMNS.some((column) => columns.includes(column)))
    throw brokenTable(`This table has none of the columns ${PLACE_COLUMNS.join(', ')}.`);
  return { table, columns };
}

function increments(
  table: CsvTable,
  columns: readonly string[],
  lines: readonly CsvLine[],
  first: FirstFrameNumber,
): ReadIncrements {
  if (lines.length < 2) throw brokenTable('This table has fewer than two exposures.');
  let before = 0;
  const rows = lines.map((line): ReadRow => {
    before = frameIn(table, line, before, first);
    const values = Object.fromEntries(columns.map((column) => [column, numberInCell(table, line, column)]));
    return { line: line.number, frame: before, values };
  });
  return { units: lines[0]!.cells.units === 'mm' ? 'mm' : 'field', columns, rows };
}

/**
 * Reads an increments file: the column `frame`, and any that say where the figure is. Of a file with several
 * moves one is read.
 * @param first from what its writer counted frames
 * @param moveId the move that is meant; without it, or where the file has none of that name, the first
 * @throws ShotError `invalid-csv` with a sentence that names the line
 */
export function readIncrementsCsv(
  text: string,
  moveId?: string,
  first: FirstFrameNumber = 1,
): ReadIncrements {
  const { table, columns } = opened(text);
  const named = table.lines.some(({ cells }) => cells.move === moveId) ? moveId : table.lines[0]?.cells.move;
  return increments(
    table,
    columns,
    table.lines.filter(({ cells }) => cells.move === named),
    first,
  );
}

/** What the apostrophe was put before that keeps a spreadsheet from taking a name for a formula. */
const withoutApostrophe = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

/** Reads a whole increments file, all moves of it. @throws ShotError `invalid-csv` with a sentence that names the line */
export function readIncrementsTable(text: string, firstNumber: FirstFrameNumber = 1): ReadTable {
  const { table, columns } = opened(text);
  const [first] = table.lines;
  const byMove = new Map<string | undefined, CsvLine[]>();
  for (const line of table.lines) {
    const known = byMove.get(line.cells.move);
    if (known) known.push(line);
    else byMove.set(line.cells.move, [line]);
  }
  if (byMove.size === 0) throw brokenTable('This table has fewer than two exposures.');
  const rate = first && table.columns.includes('rate') ? numberInCell(table, first, 'rate') : null;
  if (rate !== null && (rate < RATE.min || rate > RATE.max))
    throw brokenTable(
      `Line ${first!.number}: rate is ${rate}, and lies between ${RATE.min} and ${RATE.max}.`,
    );
  return {
    moves: [...byMove.values()].map((lines) => ({
      ...increments(table, columns, lines, firstNumber),
      figure: withoutApostrophe(lines[0]!.cells.figure ?? ''),
    })),
    rate,
    take: withoutApostrophe(first?.cells.take ?? '') || null,
  };
}
