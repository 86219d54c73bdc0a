import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { currentTake } from '../timing/takes';
import { TRACKS } from '../timing/tracks';
import { type IncrementRow, incrementTable } from '../spacing/increments';
import { spotColumns } from '../spacing/spotIncrements';
import { csvText } from './csvTable';

/** Columns of the increments file, in order. `docs/file-format.md` says what each holds. */
export const INCREMENT_COLUMNS: readonly string[] = [
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
  ...TRACKS.map(({ column }) => column),
  'pivot_x',
  'pivot_y',
  'drawing',
  'units',
  'take',
  'rate',
];

const DECIMALS = 6;

export const written = (value: number | null): string =>
  value === null ? '' : String(Number(value.toFixed(DECIMALS)) + 0);

function line(row: IncrementRow, first: FirstFrameNumber): string[] {
  return [
    String(frameNumber(row.frame, first)),
    String(row.framesHeld),
    ...[
      row.arcDistance,
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
      ...TRACKS.map(({ name }) => row.tracks[name]),
      row.pivotX,
      row.pivotY,
      row.drawing,
    ].map(written),
  ];
}

/** A figure's name that a spreadsheet would take for a formula gets an apostrophe in front. */
export const harmless = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/**
 * The increments of some or all moves as CSV: a header, then one line for each exposure. Each followed spot has a column
 * after the others: its way from the exposure before, straight across.
 */
export function writeIncrementsCsv(
  shot: Shot,
  moveIds?: readonly string[],
  first: FirstFrameNumber = 1,
): string {
  const moves = shot.moves.filter((move) => !moveIds || moveIds.includes(move.id));
  const take = harmless(currentTake(shot).name);
  const spotsOf = new Map(moves.map((move) => [move, spotColumns(shot, move)]));
  const labels = [...new Set([...spotsOf.values()].flat().map(({ label }) => label))];
  const lines = moves.flatMap((move) => {
    const spots = spotsOf.get(move)!;
    const spotCells = (frame: number): string[] =>
      labels.map((label) =>
        written(spots.find((spot) => spot.label === label)?.increments.get(frame) ?? null),
      );
    const table = incrementTable(shot, move);
    const figure = shot.figures.find((candidate) => candidate.id === move.figureId);
    const name = harmless(figure?.name ?? '');
    const rows = table.closing ? [...table.rows, table.closing] : table.rows;
    return rows.map((row) => [
      move.id,
      name,
      ...line(row, first),
      table.units,
      take,
      String(shot.rate),
      ...spotCells(row.frame),
    ]);
  });
  return csvText([...INCREMENT_COLUMNS, ...labels.map((label) => `spot: ${label}`)], lines);
}
