import type { FirstFrameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { writeShotFile } from '../model/openShot';
import { arcSvg } from './arcSvg';
import { writeChartsCsv } from './chartsCsv';
import { writeCuesCsv } from './cuesCsv';
import { writeExposureSheetCsv } from './exposureSheetCsv';
import { writeIncrementsCsv } from './incrementsCsv';
import { writeKeysCsv } from './keysCsv';
import { lottieJson } from './lottieJson';
import { movingSvg } from './movingSvg';
import { picturesOf, soundsOf, writeFilmZip } from './filmZip';
import { cameraOf } from '../motion/cameraView';
import { panTable } from '../spacing/panTable';
import { writePanCsv } from './panCsv';
import { writePartsCsv } from './partsCsv';
import { pictureSourceFrom } from './pictureSourceFrom';
import { NO_SCALE, sliderNeeds, writeSliderCsv } from './sliderCsv';
import { strobeSvg } from './strobeSvg';

export interface ExportContext {
  /** Bytes of its pictures and sounds, by their SHA-256, as far as they are there. */
  readonly files: ReadonlyMap<string, Uint8Array>;
  /** The move that is worked on; null for the first one. */
  readonly moveId: string | null;
  /** From what its reader counts frames; 1 without it. */
  readonly firstNumber?: FirstFrameNumber;
}

/** One way out of a shot. A new one is a function that writes it, and an entry in the table. */
export interface Exporter {
  readonly flag: string;
  readonly label: string;
  readonly sentence: string;
  readonly ending: string;
  readonly mimeType: string;
  readonly isPossible: (shot: Shot) => boolean;
  /** What a shot lacks where it is not, in a sentence; where that is plain there is none. */
  readonly lacks?: (shot: Shot) => string;
  /** Whether it shows pictures, or has all files of the shot within: their bytes have to be fetched first. */
  readonly needs?: 'pictures' | 'files';
  /** What it asks for, in a sentence. Called only where it is possible. */
  readonly note?: (shot: Shot, context: Pick<ExportContext, 'moveId'>) => string;
  readonly write: (shot: Shot, context: ExportContext) => string | Uint8Array;
}

const moveOf = ({ moves }: Shot, moveId: string | null): Move =>
  moves.find(({ id }) => id === moveId) ?? moves[0]!;

export const EXPORTERS: readonly Exporter[] = [
  {
    flag: 'csv',
    label: 'Increments as CSV',
    sentence: 'For a spreadsheet or for paper: one line for each exposure, in the units of the sheet.',
    ending: '-increments.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.length > 0,
    write: (shot, { firstNumber }) => writeIncrementsCsv(shot, undefined, firstNumber),
  },
  {
    flag: 'sheet',
    label: 'Exposure sheet as CSV',
    sentence: 'For a spreadsheet or for paper: one line for each frame, with what is seen, heard and noted.',
    ending: '-sheet.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.length > 0,
    write: (shot, { firstNumber }) => writeExposureSheetCsv(shot, firstNumber),
  },
  {
    flag: 'parts',
    label: 'Parts as CSV',
    sentence:
      'For a spreadsheet or for paper: each part of a figure on each exposure, in the units of the sheet.',
    ending: '-parts.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.some(({ riders }) => riders.length > 0),
    write: (shot, { firstNumber }) => writePartsCsv(shot, firstNumber),
  },
  {
    flag: 'pan',
    label: 'Pan table as CSV',
    sentence:
      'For the stand: how far the camera or the artwork goes on each exposure, with each plane’s own step.',
    ending: '-pan.csv',
    mimeType: 'text/csv',
    isPossible: (shot) => cameraOf(shot) !== undefined && panTable(shot) !== null,
    write: (shot, { firstNumber }) => writePanCsv(shot, firstNumber),
  },
  {
    flag: 'charts',
    label: 'Spacing charts as CSV',
    sentence: 'For a spreadsheet or for paper: where each drawing stands between its two keys, span by span.',
    ending: '-charts.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) => moves.length > 0,
    write: (shot, { firstNumber }) => writeChartsCsv(shot, firstNumber),
  },
  {
    flag: 'keys',
    label: 'Keys as CSV',
    sentence: 'For a spreadsheet: every key of turn, size, opacity and offset, with its frame and value.',
    ending: '-keys.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves }) =>
      moves.some(({ tracks }) => Object.values(tracks).some(({ length }) => length > 0)),
    write: (shot, { firstNumber }) => writeKeysCsv(shot, firstNumber),
  },
  {
    flag: 'cues',
    label: 'Cues as CSV',
    sentence: 'The cues by frame and by seconds. You can read them back in under Sound.',
    ending: '-cues.csv',
    mimeType: 'text/csv',
    isPossible: ({ cues }) => cues.length > 0,
    write: (shot, { firstNumber }) => writeCuesCsv(shot, firstNumber),
  },
  {
    flag: 'svg',
    label: 'SVG of arcs and figures',
    sentence:
      'For a drawing program: figures, arc, ticks, posts and numbers as layers, in true size where the field has a scale.',
    ending: '-arc.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ arcs }) => arcs.some(({ hidden }) => !hidden),
    write: (shot, { firstNumber }) => arcSvg(shot, firstNumber),
  },
  {
    flag: 'moving-svg',
    label: 'SVG that moves',
    sentence: 'For a browser or a page: figures and backdrop, moving by themselves, exact on every exposure.',
    ending: '-moving.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ moves }) => moves.length > 0,
    needs: 'pictures',
    write: (shot, { files }) => movingSvg(shot, { source: pictureSourceFrom(files) }),
  },
  {
    flag: 'lottie',
    label: 'Lottie JSON',
    sentence:
      'For programs and players that read Lottie: every figure and part, held from exposure to exposure.',
    ending: '-lottie.json',
    mimeType: 'application/json',
    isPossible: ({ moves }) => moves.length > 0,
    needs: 'pictures',
    write: (shot, { files }) => lottieJson(shot, pictureSourceFrom(files)),
  },
  {
    flag: 'strobe',
    label: 'Strobe picture',
    sentence: 'All exposures in one picture, as SVG: how the figures travel, at a glance.',
    ending: '-strobe.svg',
    mimeType: 'image/svg+xml',
    isPossible: ({ moves }) => moves.length > 0,
    needs: 'pictures',
    write: (shot, { files }) => strobeSvg(shot, { source: pictureSourceFrom(files) }),
  },
  {
    flag: 'slider',
    label: 'Slider as CSV',
    sentence:
      'For a motor on a rail: time in milliseconds, position in millimetres and speed, frame by frame.',
    ending: '-slider.csv',
    mimeType: 'text/csv',
    isPossible: ({ moves, field }) => moves.length > 0 && field.unitsPerMm !== null,
    lacks: ({ moves }) => (moves.length === 0 ? 'Nothing moves in this shot.' : NO_SCALE),
    note: (shot, { moveId }) => sliderNeeds(shot, moveOf(shot, moveId)),
    write: (shot, { moveId, firstNumber }) => writeSliderCsv(shot, moveOf(shot, moveId), firstNumber),
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
  {
    flag: 'zip',
    label: 'Shot with its pictures and sound',
    sentence: 'The shot file, its pictures and its sound in one ZIP. You can import it again.',
    ending: '.zip',
    mimeType: 'application/zip',
    isPossible: (shot) => picturesOf([shot]).length + soundsOf([shot]).length > 0,
    needs: 'files',
    write: (shot, { files }) =>
      writeFilmZip({ name: shot.film, shots: [shot], pictures: files, sounds: files }),
  },
];
