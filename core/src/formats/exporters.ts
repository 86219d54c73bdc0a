import type { Shot } from '../model/schema';
import { writeShotFile } from '../model/openShot';
import { arcSvg } from './arcSvg';
import { writeExposureSheetCsv } from './exposureSheetCsv';
import { writeIncrementsCsv } from './incrementsCsv';
import { lottieJson } from './lottieJson';
import { movingSvg } from './movingSvg';
import { writePartsCsv } from './partsCsv';
import type { PictureSource } from './sceneSvg';
import { writeSliderCsv } from './sliderCsv';
import { strobeSvg } from './strobeSvg';

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
  /** Whether it shows pictures: their bytes have to be fetched first. */
  readonly hasPictures?: true;
  /** @param source of the pictures that it shows */
  readonly write: (shot: Shot, source: PictureSource) => string;
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
    write: (shot) => writeExposureSheetCsv(shot),
  },
  {
    flag: 'parts',
    label: 'Parts as CSV',
    sentence:
      'For a spreadsheet or for paper: each part of a figure on each exposure, in the units of the sheet.',
    ending: '-parts.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.some(({ riders }) => riders.length > 0),
    write: (shot) => writePartsCsv(shot),
  },
  {
    flag: 'svg',
    label: 'SVG of arcs and figures',
    sentence:
      'For a drawing program: figures, arc, ticks, posts and numbers as layers, in true size where the field has a scale.',
    ending: '-arc.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ arcs }) => arcs.some(({ hidden }) => !hidden),
    write: (shot) => arcSvg(shot),
  },
  {
    flag: 'moving-svg',
    label: 'SVG that moves',
    sentence: 'For a browser or a page: figures and backdrop, moving by themselves, exact on every exposure.',
    ending: '-moving.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ moves }) => moves.length > 0,
    hasPictures: true,
    write: (shot, source) => movingSvg(shot, { source }),
  },
  {
    flag: 'lottie',
    label: 'Lottie JSON',
    sentence:
      'For programs and players that read Lottie: every figure and part, held from exposure to exposure.',
    ending: '-lottie.json',
    mimeType: 'application/json',
    isPossible: ({ moves }) => moves.length > 0,
    hasPictures: true,
    write: lottieJson,
  },
  {
    flag: 'strobe',
    label: 'Strobe picture',
    sentence: 'All exposures in one picture, as SVG: how the figures travel, at a glance.',
    ending: '-strobe.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ moves }) => moves.length > 0,
    hasPictures: true,
    write: (shot, source) => strobeSvg(shot, { source }),
  },
  {
    flag: 'slider',
    label: 'Slider as CSV',
    sentence:
      'For a motor on a rail: time in milliseconds, position in millimetres and speed, frame by frame.',
    ending: '-slider.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves, field }) => moves.length > 0 && field.unitsPerMm !== null,
    write: (shot) => writeSliderCsv(shot, shot.moves[0]!),
  },
  {
    flag: 'json',
    label: 'Shot as a file',
    sentence:
      'Everything in the shot, as open JSON. It can be read back in here, or by the terminal command.',
    ending: '.json',
    mimeType: 'application/json',
    isPossible: () => true,
    write: (shot) => writeShotFile(shot),
  },
];
