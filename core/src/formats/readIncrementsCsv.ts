import { frameNumber, frameNumbered } from '../model/frameNumbers';
import { TRACKS } from '../timing/tracks';
import { LONGEST_SHOT } from '../model/limits';
import { brokenTable, type CsvLine, type CsvTable, numberInCell, readCsvTable } from './csvTable';

/** Columns that say where the figure is along its arc: as a place, or by the way from the exposure before. */
export const PLACE_COLUMNS = ['place', 'percent', 'along', 'total', 'ruler', 'ruler_total'] as const;
export type PlaceColumn = (typeof PLACE_COLUMNS)[number];

/** A line of an increments file: its frame, and what its other columns say. */
export interface ReadRow {
  readonly line: number;
  readonly frame: number;
  readonly values: Readonly<Record<string, number | null>>;
}

/** What an increments file says, in the file's own units. */
export interface ReadIncrements {
  readonly units: 'field' | 'mm';
  /** The columns of numbers that it has. */
  readonly columns: readonly string[];
  readonly rows: readonly ReadRow[];
}

const READ_COLUMNS = [
  ...PLACE_COLUMNS,
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

function frameIn(table: CsvTable, line: CsvLine, before: number): number {
  const number = numberInCell(table, line, 'frame');
  const frame = number === null ? null : frameNumbered(number);
  // Round a closed arc the last line is one frame past the shot.
  if (frame === null || !Number.isInteger(frame) || frame < 1 || frame > LONGEST_SHOT + 1)
    throw brokenTable(
      `Line ${line.number}: frame must be a whole number from ${frameNumber(1)} to ${frameNumber(LONGEST_SHOT)}.`,
    );
  if (frame <= before)
    throw brokenTable(
      `Line ${line.number}: frame ${frameNumber(frame)} does not follow frame ${frameNumber(before)}.`,
    );
  return frame;
}

/**
 * Reads an increments file: the column `frame`, and any that say where the figure is. Of a file with several
 * moves one is read.
 * @param moveId the move that is meant; without it, or where the file has none of that name, the first
 * @throws ShotError `invalid-csv` with a sentence that names the line
 */
export function readIncrementsCsv(text: string, moveId?: string): ReadIncrements {
  const table = readCsvTable(text);
  if (!table.columns.includes('frame')) throw brokenTable('This table has no column frame.');
  const columns = READ_COLUMNS.filter((column) => table.columns.includes(column));
  if (!PLACE_COLUMNS.some((column) => columns.includes(column)))
    throw brokenTable(`This table has none of the columns ${PLACE_COLUMNS.join(', ')}.`);
  const named = table.lines.some(({ cells }) => cells.move === moveId) ? moveId : table.lines[0]?.cells.move;
  const lines = table.lines.filter(({ cells }) => cells.move === named);
  if (lines.length < 2) throw brokenTable('This table has fewer than two exposures.');
  let before = 0;
  const rows = lines.map((line): ReadRow => {
    before = frameIn(table, line, before);
    const values = Object.fromEntries(columns.map((column) => [column, numberInCell(table, line, column)]));
    return { line: line.number, frame: before, values };
  });
  return { units: lines[0]!.cells.units === 'mm' ? 'mm' : 'field', columns, rows };
}
