import { parseArgs } from 'node:util';
import { applyEdit, currentTake, type Shot, ShotError, spansOf } from '@humble/core';
import { type IncrementRow, incrementTable, ladderOf } from '@humble/core/views';
import { checked } from './check';
import { SOLVING, solved } from './solve';
import type { Answer, Values } from './answer';
import { numberOf, type ReadShot, readShot } from './input';
import { writeWhole } from './output';
import { packed, unpacked } from './pack';
import { filesWith, missingNote } from './pictures';
import { printed } from './print';
import { rendered } from './render';
import { sliderText } from './slider';
import { UsageError } from './usageError';
import {
  EXPORTERS,
  ladderSvg,
  partRows,
  pictureSourceFrom,
  strobeSvg,
  writeExposureSheetCsv,
  writeIncrementsCsv,
} from '@humble/core/files';

const FORMATS = EXPORTERS.map(({ flag }) => `--${flag}`).join(', ');

/** Every exporter has a flag of its own; `sample` and `chart` know some of them, too. */
const FLAGS = Object.fromEntries(
  EXPORTERS.map(({ flag }) => [flag, { type: 'boolean' }]),
) as unknown as Readonly<Record<'csv' | 'json' | 'svg' | 'slider', { readonly type: 'boolean' }>>;

const USAGE = `humble-pendulum: plan how something travels, from a terminal

  humble-pendulum sample SHOT.json [--csv | --json]   the increments of every move
  humble-pendulum sheet SHOT.json --csv               the exposure sheet, a line for each frame
  humble-pendulum chart SHOT.json --svg               the spacing chart of a span, as a picture
                  [--move ID] [--span N]              of which move, and which of its spans (1, 2 …)
  humble-pendulum convert SHOT.json --FORMAT          the shot in another format: ${FORMATS}
                  [--pictures FOLDER]                 where its pictures are looked for, by their content
                  [--every N --ticks]                 of a strobe picture: every n-th exposure, arcs and ticks over it
                  [--max-speed V --max-acceleration A] of a slider, mm/s and mm/s²; the exit code is 2 where it
                                                      would have to be faster
  humble-pendulum render SHOT.json --out FOLDER       each frame as a PNG, without a browser
                  [--width W] [--from A --until B]    pixels; some frames only
                  [--ground paper|black|transparent]  what it lies on
                  [--no-backdrop] [--shutter DEGREES] how long the shutter is open, 0 to 360: what moves is blurred
                  [--pictures FOLDER]
  humble-pendulum print SHOT.json --out FILE.pdf      a sheet at true scale
                  [--print track|ladder|sheet|table]  the track (the default), spacing charts, exposure sheet, increments
                  [--paper a4|letter] [--across]      across is with the long side level
  humble-pendulum pack SHOT.json … --out FILM.zip     shots, their pictures and sounds as one film
                  [--name FILM] [--pictures FOLDER] [--sounds FOLDER]
  humble-pendulum unpack FILM.zip --out FOLDER        the same, back into files
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
SHOT.json may also be a table of increments (CSV): it is read as a shot of its own. A “-” is standard input; what is
written goes to standard output, or to the file that --out names.
Columns are described in docs/file-format.md.`;

const COMMANDS = [
  'sample',
  'sheet',
  'chart',
  'convert',
  'render',
  'print',
  'pack',
  'unpack',
  'solve',
  'check',
  'check-file',
];

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
function converted({ shot, files: own }: ReadShot, values: Values): Answer {
  const asked = EXPORTERS.filter(({ flag }) => (values as Readonly<Record<string, unknown>>)[flag] === true);
  if (asked.length !== 1) throw new UsageError(`Say which format: one of ${FORMATS}.`);
  const { flag, isPossible, needs, write, label } = asked[0]!;
  if (!isPossible(shot)) throw new UsageError(`${label}: there is nothing of that in this shot.`);
  if (flag === 'slider') return sliderText(shot, values);
  const choice = {
    every: Math.round(numberOf(values.every, 'every', 1, 1)),
    withTicks: values.ticks === true,
  };
  const files = needs ? filesWith(own, values.pictures, values.sounds) : own;
  const note = needs && missingNote(shot, files);
  const text =
    flag === 'strobe'
      ? strobeSvg(shot, { ...choice, source: pictureSourceFrom(files) })
      : write(shot, { files, moveId: values.move ?? null });
  return { text, note, code: 0 };
}

function checkSentence(shot: Shot): string {
  const count = (n: number, noun: string): string => `${n} ${noun}${n === 1 ? '' : 's'}`;
  return `${shot.name}: a sound shot, ${count(shot.lengthFrames, 'frame')} at ${shot.rate} a second, ${count(shot.arcs.length, 'arc')}, ${count(shot.moves.length, 'move')}.\n`;
}

/** Options besides those of `solve` and the formats. */
const OPTIONS = {
  move: { type: 'string' },
  span: { type: 'string' },
  take: { type: 'string' },
  out: { type: 'string' },
  name: { type: 'string' },
  width: { type: 'string' },
  from: { type: 'string' },
  until: { type: 'string' },
  ground: { type: 'string' },
  'no-backdrop': { type: 'boolean' },
  pictures: { type: 'string' },
  sounds: { type: 'string' },
  every: { type: 'string' },
  ticks: { type: 'boolean' },
  shutter: { type: 'string' },
  print: { type: 'string' },
  paper: { type: 'string' },
  across: { type: 'boolean' },
  'max-speed': { type: 'string' },
  'max-acceleration': { type: 'string' },
  help: { type: 'boolean', short: 'h' },
} as const;

function parsed(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options: { ...FLAGS, ...OPTIONS, ...SOLVING } });
  } catch (error) {
    throw new UsageError(`${(error as Error).message.split('. ')[0]}.`);
  }
}

const outOf = (args: string[]): string | undefined => parsed(args).values.out;

const said = (text: string, code = 0): Answer => ({ text, code });

function run(args: string[]): Answer | Promise<Answer> {
  const { values, positionals } = parsed(args);
  const [command, path, ...more] = positionals;
  if (values.help || !command) return said(`${USAGE}\n`);
  if (!COMMANDS.includes(command))
    throw new UsageError(`There is no command “${command}”: use ${COMMANDS.join(', ')}.`);
  if (command === 'solve') {
    if (path !== undefined) throw new UsageError('solve takes no file.');
    return said(solved(values));
  }
  if (command === 'pack') return packed(positionals.slice(1), values);
  if (!path || more.length > 0)
    throw new UsageError(`${command} takes one ${command === 'unpack' ? 'film' : 'shot'} file.`);
  if (command === 'unpack') return unpacked(path, values);
  const read = readShot(path);
  const shot = inTake(read.shot, values.take);
  const { files } = read;
  if (command === 'convert') return converted({ shot, files }, values);
  if (values.csv && values.json) throw new UsageError('Choose one of --csv and --json.');
  if (command === 'chart' && !values.svg)
    throw new UsageError('A chart is a picture: say chart SHOT.json --svg.');
  if (command === 'sheet' && !values.csv)
    throw new UsageError('An exposure sheet is a table: say sheet SHOT.json --csv.');
  if (command === 'render') return rendered({ shot, files }, values);
  if (command === 'print') return printed(shot, values);
  if (command === 'sheet') return said(writeExposureSheetCsv(shot));
  if (command === 'chart') return said(chartPicture(shot, values.move, values.span));
  if (command === 'check') {
    const { text, findings } = checked(shot, values.json === true);
    return said(text, findings > 0 ? 2 : 0);
  }
  if (command === 'check-file') return said(checkSentence(shot));
  return said(values.json ? sampleJson(shot) : writeIncrementsCsv(shot));
}

/** Puts an answer where it belongs, and tells how it ended. */
function delivered({ text, note, code }: Answer, out: string | undefined): number {
  if (note) process.stderr.write(`${note}\n`);
  if (out === undefined || text === '') process.stdout.write(text);
  else writeWhole(out, text);
  return code;
}

function failed(error: unknown): number {
  if (!(error instanceof ShotError) && !(error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message.replace(/\s+/g, ' ')}\n`);
  return 1;
}

/**
 * Runs one command. What it has to say goes to stdout; a mistake goes to stderr as one sentence.
 * @param args what follows the command's own name
 * @returns the exit code: 0; 2 where a check found something; 1 after a mistake. A promise of it where pictures are made
 */
export function main(args: string[]): number | Promise<number> {
  try {
    const answer = run(args);
    // Of commands that write files of their own, --out is theirs.
    const out = ['render', 'print', 'pack', 'unpack'].includes(args[0]!) ? undefined : outOf(args);
    return answer instanceof Promise
      ? answer.then((done) => delivered(done, out)).catch(failed)
      : delivered(answer, out);
  } catch (error) {
    return failed(error);
  }
}
