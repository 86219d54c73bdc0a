import { type FirstFrameNumber, frameNumbered } from '../model/frameNumbers';
import { MAX_CUE_LENGTH, MAX_SOUND_SECONDS, MAX_CUES } from '../model/limits';
import { secondsOfFrame } from '../timing/cues';
import { brokenTable, type CsvLine, numberInCell, readCsvTable } from './csvTable';

export interface ReadCue {
  readonly seconds: number;
  readonly word: string;
}

const WORDS = ['word', 'cue', 'heard', 'text'];

function wordIn({ cells, number }: CsvLine, column: string): string {
  // What would count as a formula is written with an apostrophe before it.
  const word = (cells[column] ?? '').trim().replace(/^'(?=[=+\-@])/, '');
  if (word === '') throw brokenTable(`Line ${number}: there is no word.`);
  if (word.length > MAX_CUE_LENGTH)
    throw brokenTable(`Line ${number}: the word is longer than ${MAX_CUE_LENGTH} letters.`);
  return word;
}

/**
 * A list of cues from a table: a column `frame`, as frames are counted, or `seconds`, and a column `word`.
 * @param rate of the shot, frames a second
 * @throws ShotError `invalid-csv` with a sentence that names the line
 */
export function readCuesCsv(text: string, rate: number, first: FirstFrameNumber = 1): readonly ReadCue[] {
  const table = readCsvTable(text);
  const by = ['seconds', 'frame'].find((column) => table.columns.includes(column));
  const words = WORDS.find((column) => table.columns.includes(column));
  if (!by || !words)
    throw brokenTable('A list of cues has a column “frame” or “seconds”, and a column “word”.');
  // An empty cell of a sheet is a frame on which nothing is heard.
  const lines = table.lines.filter(({ cells }) => words === 'word' || (cells[words] ?? '').trim() !== '');
  if (lines.length === 0) throw brokenTable('There are no cues in this table.');
  if (lines.length > MAX_CUES) throw brokenTable(`A shot has at most ${MAX_CUES} cues.`);
  return lines.map((line) => {
    const value = numberInCell(table, line, by);
    if (value === null) throw brokenTable(`Line ${line.number}: ${by} is empty.`);
    const seconds = by === 'seconds' ? value : secondsOfFrame(frameNumbered(Math.round(value), first), rate);
    if (seconds < 0 || seconds > MAX_SOUND_SECONDS)
      throw brokenTable(`Line ${line.number}: ${by} is ${value}, which lies outside any shot.`);
    return { seconds, word: wordIn(line, words) };
  });
}
