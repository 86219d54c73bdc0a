import type { Shot } from '../model/schema';
import { writeShotFile } from '../model/openShot';
import { arcSvg } from './arcSvg';
import { writeExposureSheetCsv } from './exposureSheetCsv';
import { writeIncrementsCsv } from './incrementsCsv';
import { writePartsCsv } from './partsCsv';

/** One way out of a shot. A new one is a function that writes it, and an entry in the table. */
export interface Exporter {
  /** Its flag in the terminal: `--svg`. */
  readonly flag: string;
  /** What it is, as the button says it. */
  readonly label: string;
  /** What it is for, in a sentence. */
  readonly sentence: string;
  /** What is put behind the shot's name, for the name of the file. */
  readonly ending: string;
  readonly mimeType: string;
  /** Whether it has anything to say of a shot. */
  readonly isPossible: (shot: Shot) => boolean;
  readonly write: (shot: Shot) => string;
}

/** The ways out of a shot, in the order in which they are offered. */
export const EXPORTERS: readonly Exporter[] = [
  {
    flag: 'csv',
    label: 'Increments as CSV',
    sentence: 'For a spreadsheet or for paper: one line for each exposure, in the units of the sheet.',
    ending: '-increments.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.length > 0,
    write: (shot) => writeIncrementsCsv(shot),
  },
  {
    flag: 'sheet',
    label: 'Exposure sheet as CSV',
    sentence: 'For a spreadsheet or for paper: one line for each frame, with what is seen, heard and noted.',
    ending: '-sheet.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.length > 0,
    write: writeExposureSheetCsv,
  },
  {
    flag: 'parts',
    label: 'Parts as CSV',
    sentence:
      'For a spreadsheet or for paper: each part of a figure on each exposure, in the units of the sheet.',
    ending: '-parts.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.some(({ riders }) => riders.length > 0),
    write: writePartsCsv,
  },
  {
    flag: 'svg',
    label: 'SVG of arcs and figures',
    sentence:
      'For a drawing program: figures, arc, ticks, posts and numbers as layers, in true size where the field has a scale.',
    ending: '-arc.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ arcs }) => arcs.some(({ hidden }) => !hidden),
    write: arcSvg,
  },
  {
    flag: 'json',
    label: 'Shot as a file',
    sentence:
      'Everything in the shot, as open JSON. It can be read back in here, or by the terminal command.',
    ending: '.json',
    mimeType: 'application/json',
    isPossible: () => true,
    write: writeShotFile,
  },
];
