import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { applyEdit, currentTake, type Shot, ShotError, spansOf } from '@humble/core';
import { type IncrementRow, incrementTable, ladderOf } from '@humble/core/views';
import { checked } from './check';
import { SOLVING, solved } from './solve';
import { UsageError } from './usageError';
import {
  EXPORTERS,
  importShot,
  ladderSvg,
  partRows,
  writeExposureSheetCsv,
  writeIncrementsCsv,
} from '@humble/core/files';

const FORMATS = EXPORTERS.map(({ flag }) => `--${flag}`).join(', ');

/** Every exporter has a flag of its own; `sample` and `chart` know some of them, too. */
const FLAGS = Object.fromEntries(
  EXPORTERS.map(({ flag }) => [flag, { type: 'boolean' }]),
) as unknown as Readonly<Record<'csv' | 'json' | 'svg', { readonly type: 'boolean' }>>;

const USAGE = `humble-pendulum: plan how something travels, from a terminal

  humble-pendulum sample SHOT.json [--csv | --json]   the increments of every move
  humble-pendulum sheet SHOT.json --csv               the exposure sheet, a line for each frame
  humble-pendulum chart SHOT.json --svg               the spacing chart of a span, as a picture
                  [--move ID] [--span N]              of which move, and which of its spans (1, 2 …)
  humble-pendulum convert SHOT.json --FORMAT          the shot in another format: ${FORMATS}
  humble-pendulum solve --distance D --most M         the frames of a span with no increment above M
                  [--frames N]                        or the distance, or the ramps, that N frames allow
                  [--leave A --arrive B]              how many frames it leaves and arrives over
                  [--curve X1,Y1,X2,Y2]               or a curve; or
                  [--slow-place AT,STRENGTH]          slowest at a place; without any of them it is even
                  [--held 1|2|3] [--json]             frames that each picture is held
  humble-pendulum check SHOT.json [--json]            what an animator may not have meant; the exit code is 2
                                                      where something is found
  humble-pendulum check-file SHOT.json                whether the file is a sound shot

--take NAME reads another take of the shot than the current one.
SHOT.json may also be a table of increments (CSV): it is read as a shot of its own.
Columns are described in docs/file-format.md.`;

const COMMANDS = ['sample', 'sheet', 'chart', 'convert', 'solve', 'check', 'check-file'];

function readShot(path: string): Shot {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code;
    const reason =
      code === 'ENOENT' ? 'there is no such file' : code === 'EISDIR' ? 'it is a folder' : String(code);
    throw new UsageError(`${path} cannot be read: ${reason}.`);
  }
  return importShot({ name: path, text });
}

/** A row under the names of the CSV. */
const named = ({ arcDistance, ...row }: IncrementRow): object => ({ place: arcDistance, ...row });

/** The increments of every move as JSON, with the same numbers as the CSV, unrounded. */
function sampleJson(shot: Shot): string {
  const moves = shot.moves.map((move) => {
    const { rows, closing, ...table } = incrementTable(shot, move);
    return {
      move: move.id,
      figure: shot.figures.find((figure) => figure.id === move.figureId)?.name,
      rows: rows.map(named),
      closing: closing && named(closing),
      ...table,
      parts: partRows(shot).filter((row) => row.move === move.id),
    };
  });
  const { name, rate, lengthFrames } = shot;
  const take = currentTake(shot).name;
  return `${JSON.stringify({ shot: name, take, rate, lengthFrames, moves }, null, 2)}\n`;
}

/** The shot as one of its takes has it: by its name, or by its id. */
function inTake(shot: Shot, asked: string | undefined): Shot {
  if (asked === undefined) return shot;
  const take = shot.takes.find(({ id, name }) => name === asked || id === asked);
  if (take) return applyEdit(shot, { name: 'chooseTake', args: { takeId: take.id } });
  const names = shot.takes.map(({ name }) => `“${name}”`).join(', ');
  throw new UsageError(`There is no take “${asked}” in this shot. It has ${names}.`);
}

/** The ladder of one span; without a number the first that goes anywhere. */
function chartPicture(shot: Shot, moveId: string | undefined, span: string | undefined): string {
  const move = moveId === undefined ? shot.moves[0] : shot.moves.find(({ id }) => id === moveId);
  if (!move) throw new UsageError(moveId ? `The shot has no move ${moveId}.` : 'Nothing moves in this shot.');
  const spans = spansOf(move);
  const index = span === undefined ? spans.findIndex(({ isHold }) => !isHold) : Number(span) - 1;
  if (!spans[index])
    throw new UsageError(`There is no span ${span ?? 'that goes anywhere'}: the move has ${spans.length}.`);
  const { from, to } = spans[index];
  return ladderSvg(ladderOf(shot, move, index), `${shot.name}, frames ${from.frame} to ${to.frame}`);
}

/** The shot in the one format that was asked for. */
function converted(shot: Shot, values: Readonly<Record<string, unknown>>): string {
  const asked = EXPORTERS.filter(({ flag }) => values[flag] === true);
  if (asked.length !== 1) throw new UsageError(`Say which format: one of ${FORMATS}.`);
  const { isPossible, write, label } = asked[0]!;
  if (!isPossible(shot)) throw new UsageError(`${label}: there is nothing of that in this shot.`);
  return write(shot);
}

function checkSentence(shot: Shot): string {
  const count = (n: number, noun: string): string => `${n} ${noun}${n === 1 ? '' : 's'}`;
  return `${shot.name}: a sound shot, ${count(shot.lengthFrames, 'frame')} at ${shot.rate} a second, ${count(shot.arcs.length, 'arc')}, ${count(shot.moves.length, 'move')}.\n`;
}

/** What a command has to say, and how it ends. */
interface Answer {
  readonly text: string;
  /** The exit code: 0, or 2 where something was found. */
  readonly code: number;
}

function answer(args: string[]): Answer {
  const said = run(args);
  return typeof said === 'string' ? { text: said, code: 0 } : said;
}

function run(args: string[]): string | Answer {
  let parsed;
  try {
    parsed = parseArgs({
      args,
      allowPositionals: true,
      options: {
        ...FLAGS,
        move: { type: 'string' },
        span: { type: 'string' },
        take: { type: 'string' },
        ...SOLVING,
        help: { type: 'boolean', short: 'h' },
      },
    });
  } catch (error) {
    throw new UsageError(`${(error as Error).message.split('. ')[0]}.`);
  }
  const { values, positionals } = parsed;
  const [command, path, ...more] = positionals;
  if (values.help || !command) return `${USAGE}\n`;
  if (!COMMANDS.includes(command))
    throw new UsageError(`There is no command “${command}”: use ${COMMANDS.join(', ')}.`);
  if (command === 'solve') {
    if (path !== undefined) throw new UsageError('solve takes no file.');
    return solved(values);
  }
  if (!path || more.length > 0) throw new UsageError(`${command} takes one shot file.`);
  if (command === 'convert') return converted(readShot(path), values);
  if (values.csv && values.json) throw new UsageError('Choose one of --csv and --json.');
  if (command === 'chart' && !values.svg)
    throw new UsageError('A chart is a picture: say chart SHOT.json --svg.');
  if (command === 'sheet' && !values.csv)
    throw new UsageError('An exposure sheet is a table: say sheet SHOT.json --csv.');
  const shot = inTake(readShot(path), values.take);
  if (command === 'sheet') return writeExposureSheetCsv(shot);
  if (command === 'chart') return chartPicture(shot, values.move, values.span);
  if (command === 'check') {
    const { text, findings } = checked(shot, values.json === true);
    return { text, code: findings > 0 ? 2 : 0 };
  }
  if (command === 'check-file') return checkSentence(shot);
  return values.json ? sampleJson(shot) : writeIncrementsCsv(shot);
}

/**
 * Runs one command. What it has to say goes to stdout; a mistake goes to stderr as one sentence.
 * @param args what follows the command's own name
 * @returns the exit code: 0; 2 where a check found something; 1 after a mistake
 */
export function main(args: string[]): number {
  try {
    const { text, code } = answer(args);
    process.stdout.write(text);
    return code;
  } catch (error) {
    if (!(error instanceof ShotError) && !(error instanceof UsageError)) throw error;
    process.stderr.write(`${error.message.replace(/\s+/g, ' ')}\n`);
    return 1;
  }
}
