import type { FrameSentence } from '../model/frameNumbers';
import Papa from 'papaparse';
import { ShotError } from '../model/errors';
import { MAX_COORDINATE } from '../model/limits';
import { plainText } from '../model/plainText';

export interface CsvTable {
  readonly columns: readonly string[];
  readonly lines: readonly CsvLine[];
  readonly decimal: '.' | ',';
}

export interface CsvLine {
  readonly number: number;
  readonly cells: Readonly<Record<string, string>>;
}

export const brokenTable = (sentence: string | FrameSentence): ShotError =>
  new ShotError('invalid-csv', sentence);

/** A number with a comma in it, as it is written where the point separates thousands. */
const WITH_COMMA = /^\s*[-+]?\d*,\d+\s*$/;

/**
 * Reads a table as programs write it: separated by commas, semicolons or tabs, with points or commas in its
 * numbers, any ends of lines, and a byte-order mark or none.
 * @throws ShotError `invalid-csv` when there is no table
 */
export function readCsvTable(text: string): CsvTable {
  // An empty last line would count as one with a single cell when the separator is guessed.
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trimEnd(), {
    delimitersToGuess: [',', ';', '\t'],
  });
  const lines = data
    .map((cells, i) => ({ number: i + 1, cells: cells.map((cell) => cell.trim()) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
  const [head, ...rest] = lines;
  if (!head) throw brokenTable('This table is empty.');
  const columns = head.cells.map((cell) => cell.toLowerCase());
  const hasCommas =
    meta.delimiter !== ',' && rest.some(({ cells }) => cells.some((cell) => WITH_COMMA.test(cell)));
  return {
    columns,
    decimal: hasCommas ? ',' : '.',
    lines: rest.map(({ number, cells }) => ({
      number,
      cells: Object.fromEntries(columns.map((column, i) => [column, cells[i] ?? ''])),
    })),
  };
}

/** The number in a cell; null for an empty one. @throws ShotError `invalid-csv` that names the line */
export function numberInCell(
  { decimal }: CsvTable,
  { cells, number }: CsvLine,
  column: string,
): number | null {
  const text = cells[column] ?? '';
  if (text === '') return null;
  const value = Number(decimal === ',' ? text.replace(',', '.') : text);
  const quoted = `“${text.slice(0, 20)}”`;
  if (!Number.isFinite(value))
    throw brokenTable(`Line ${number}: ${column} is ${quoted}, which is not a number.`);
  if (Math.abs(value) > MAX_COORDINATE)
    throw brokenTable(`Line ${number}: ${column} is ${quoted}, which is too large.`);
  return value;
}

export const csvText = (fields: readonly string[], lines: readonly (readonly string[])[]): string =>
  `${Papa.unparse([fields.map(plainText), ...lines.map((line) => line.map(plainText))], { newline: '\n' })}\n`;
