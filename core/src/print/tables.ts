import { outOfRange } from '../model/errors';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { shownExposures } from '../exposure/shownFrames';
import { exposureSheet } from '../spacing/exposureSheet';
import { drawingNumber, type DrawingRole } from '../spacing/drawingNumbers';
import { incrementTable } from '../spacing/increments';
import { byCompass, movedArtwork, panTable } from '../spacing/panTable';
import { currentTake } from '../timing/takes';
import { line, pageWith, type Paper, type PrintOp, ring, roomOn, text } from './paper';
import { joined, type Printout } from './printout';
import { fitted, textWidth } from './textWidth';

interface TableColumn {
  readonly title: string;
  /** At least; millimetres. */
  readonly width: number;
  readonly align: 'left' | 'right' | 'middle';
  /** So many columns its title may go over, itself among them; 1 without it. */
  readonly titleSpan?: number;
  /** The texts in it that are not all of one length: where there is room, it is as wide as the longest. */
  readonly texts?: readonly string[];
}

interface TableRow {
  readonly cells: readonly string[];
  readonly isStrong: boolean;
  /** Lines and boxes in the row. @param at places: left edge of a column, and the row's upper edge and height */
  readonly drawn?: (at: RowPlace) => readonly PrintOp[];
}

interface RowPlace {
  readonly middle: (column: number) => number;
  readonly y: number;
  readonly height: number;
}

interface Table {
  readonly title: string;
  readonly detail: string;
  readonly columns: readonly TableColumn[];
  readonly count: number;
  readonly rowAt: (index: number) => TableRow;
}

/** Heights of a row, millimetres: as roomy as the page lets it. */
const ROOMY = 5.2;
const CLOSE = 4.4;
const TABLE_HEAD = 8;
const CELL_SIZE = 3;
const HEAD_SIZE = 2.6;
/** Free at both sides of a text. */
const CELL_MARGIN = 2;

/** As high as fits all rows on one page, where they can be; else roomy. */
function rowHeightFor(count: number, height: number): number {
  const wanted = height / Math.max(1, count);
  return wanted >= CLOSE ? Math.min(ROOMY, wanted) : ROOMY;
}

/** Widths of columns: what is left of the page goes to texts that need it, and where it is too narrow all give way. */
function widthsOf(columns: readonly TableColumn[], room: number): readonly number[] {
  const least = columns.reduce((sum, { width }) => sum + width, 0);
  if (least >= room) return columns.map(({ width }) => (width * room) / least);
  const wanted = columns.map(({ width, texts = [] }) =>
    texts.reduce((most, one) => Math.max(most, textWidth(one, CELL_SIZE) + CELL_MARGIN + 0.5), width),
  );
  const missing = wanted.reduce((sum, width, i) => sum + width - columns[i]!.width, 0);
  const share = missing > 0 ? Math.min(1, (room - least) / missing) : 0;
  return columns.map(({ width }, i) => width + share * (wanted[i]! - width));
}

function tablePrintout(paper: Paper, { title, detail, columns, count: rows, rowAt }: Table): Printout {
  const room = roomOn(paper);
  const height = rowHeightFor(rows, room.height - TABLE_HEAD);
  const each = Math.max(1, Math.floor((room.height - TABLE_HEAD) / height + 1e-9));
  const count = Math.max(1, Math.ceil(rows / each));
  const widths = widthsOf(columns, room.width);
  const starts = widths.map((_, i) => room.x + widths.slice(0, i).reduce((sum, width) => sum + width, 0));
  const right = starts[starts.length - 1]! + widths[widths.length - 1]!;
  const spanned = (i: number, columnsOver: number): number =>
    widths.slice(i, i + columnsOver).reduce((sum, width) => sum + width, 0);
  const cell = (content: string, i: number, y: number, isHead: boolean): PrintOp => {
    const { align: usual, titleSpan = 1 } = columns[i]!;
    const align = isHead && titleSpan > 1 ? 'left' : usual;
    const width = isHead ? spanned(i, titleSpan) : widths[i]!;
    const x = starts[i]! + (align === 'left' ? 1 : align === 'right' ? width - 1 : width / 2);
    const size = isHead ? HEAD_SIZE : CELL_SIZE;
    const font = isHead || align === 'left' ? 'sans' : 'mono';
    return text(x, y, fitted(content, width - CELL_MARGIN, size, font), {
      size,
      align,
      font,
      tone: isHead ? 'soft' : 'ink',
    });
  };
  const rowOps = (index: number, y: number): readonly PrintOp[] => {
    const { cells, isStrong, drawn } = rowAt(index);
    const over = line(
      [
        [room.x, y],
        [right, y],
      ],
      isStrong ? 0.25 : 0.1,
      'soft',
    );
    const foot = y + height / 2 + CELL_SIZE * 0.36;
    return [
      over,
      ...cells.flatMap((content, c) => (content === '' ? [] : [cell(content, c, foot, false)])),
      ...(drawn?.({ middle: (column) => starts[column]! + widths[column]! / 2, y, height }) ?? []),
    ];
  };
  return {
    count,
    pageAt: (page) => {
      const from = page * each;
      const onPage = Math.min(each, rows - from);
      const ops = Array.from({ length: onPage }, (_, i) =>
        rowOps(from + i, room.y + TABLE_HEAD + i * height),
      ).flat();
      const heads = columns.map(({ title: head }, i) => cell(head, i, room.y + 4, true));
      return pageWith(paper, { title, detail, page: page + 1, of: count }, [...heads, ...ops]);
    },
  };
}

const detailOf = (shot: Shot): string =>
  `${shot.lengthFrames} frames at ${shot.rate} frames a second. ${currentTake(shot).name}.`;

const unitOf = ({ sheet }: Shot): string => (sheet.units === 'mm' ? 'mm' : 'units');

function seenMoves(shot: Shot): readonly Move[] {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const moves = shot.moves.filter(({ figureId }) => seen.has(figureId));
  if (moves.length === 0) throw outOfRange('Nothing travels in this shot.');
  return moves;
}

const markLabels = ({ marks }: Move): readonly string[] => marks.map(({ label, kind }) => label || kind);

/** What stands about the number of a drawing: a ring about a key, a line under a breakdown. */
function numberSigns(role: DrawingRole, x: number, y: number, height: number): PrintOp[] {
  if (role === 'key') return [ring(x, y + height / 2, 0.45 * height)];
  const under = y + height / 2 + CELL_SIZE * 0.6;
  return role === 'breakdown'
    ? [
        line(
          [
            [x - 2.4, under],
            [x + 2.4, under],
          ],
          0.3,
        ),
      ]
    : [];
}

/** The exposure sheet: a line for each frame, with a stroke down through what is held. */
export function exposurePages(shot: Shot, paper: Paper, first: FirstFrameNumber = 1): Printout {
  seenMoves(shot);
  const { columns, cues, notes } = exposureSheet(shot);
  const PER_FIGURE = 3;
  const FIRST_FIGURE = 2;
  const heardOn = (frame: number): string => (cues.get(frame) ?? []).map(({ word }) => word).join(' ');
  const notedFrom = (frame: number): string =>
    (notes.get(frame) ?? [])
      .filter(({ from }) => from === frame)
      .map((note) => note.text)
      .join('; ');
  const table: TableColumn[] = [
    { title: 'frame', width: 12, align: 'right' },
    { title: 'heard', width: 20, align: 'left', texts: [...cues.keys()].map(heardOn) },
    ...columns.flatMap(({ figure, move }): TableColumn[] => [
      { title: figure, width: 14, align: 'middle', titleSpan: 2, texts: [] },
      { title: '', width: 18, align: 'left', texts: [...markLabels(move), figure] },
      { title: `step ${unitOf(shot)}`, width: 16, align: 'right' },
    ]),
    { title: 'note', width: 30, align: 'left', texts: [...notes.keys()].map(notedFrom) },
  ];
  const rowAt = (i: number): TableRow => {
    const frame = i + 1;
    return {
      isStrong: frame % 5 === 0,
      cells: [
        String(frameNumber(frame, first)),
        heardOn(frame),
        ...columns.flatMap(({ cells }) => {
          const { shows, drawing, numbered, mark, ruler } = cells[i]!;
          const number = numbered
            ? drawingNumber(numbered, shot, first)
            : drawing === null
              ? ''
              : String(drawing);
          return [
            shows === 'begins' ? number : '',
            mark ? mark.label || mark.kind : '',
            ruler === null ? '' : ruler.toFixed(1),
          ];
        }),
        notedFrom(frame),
      ],
      drawn: ({ middle, y, height }) =>
        columns.flatMap(({ cells }, c): PrintOp[] => {
          const { shows, drawing, numbered } = cells[i]!;
          const x = middle(FIRST_FIGURE + PER_FIGURE * c);
          if (numbered) return numberSigns(numbered.role, x, y, height);
          if (shows === 'held')
            return [
              line(
                [
                  [x, y],
                  [x, y + height],
                ],
                0.3,
              ),
            ];
          return shows === 'begins' && drawing === null ? [ring(x, y + height / 2, 1)] : [];
        }),
    };
  };
  return tablePrintout(paper, {
    title: `${shot.name}: exposure sheet`,
    detail: detailOf(shot),
    columns: table,
    count: shot.lengthFrames,
    rowAt,
  });
}

const box = (x: number, y: number, side: number): PrintOp =>
  line(
    [
      [x - side / 2, y - side / 2],
      [x + side / 2, y - side / 2],
      [x + side / 2, y + side / 2],
      [x - side / 2, y + side / 2],
      [x - side / 2, y - side / 2],
    ],
    0.2,
  );

function incrementsOf(shot: Shot, paper: Paper, move: Move, first: FirstFrameNumber): Printout {
  const unit = unitOf(shot);
  const figure = shot.figures.find(({ id }) => id === move.figureId)!.name;
  const marks = new Map(move.marks.map((mark) => [mark.frame, mark]));
  return tablePrintout(paper, {
    title: `${shot.name}: ${figure}`,
    detail: `Increments. ${detailOf(shot)}`,
    columns: [
      { title: 'done', width: 12, align: 'middle' },
      { title: 'frame', width: 16, align: 'right' },
      { title: 'held', width: 12, align: 'right' },
      { title: `along ${unit}`, width: 22, align: 'right' },
      { title: `ruler ${unit}`, width: 22, align: 'right' },
      { title: `total ${unit}`, width: 24, align: 'right' },
      { title: 'turn', width: 18, align: 'right' },
      { title: 'mark', width: 40, align: 'left', texts: markLabels(move) },
    ],
    count: shownExposures(move, shot).length,
    rowAt: (i) => {
      const { frame, framesHeld, along, ruler, rulerTotal, headingChangeDeg } = incrementTable(shot, move)
        .rows[i]!;
      const mark = marks.get(frame);
      return {
        isStrong: mark !== undefined,
        cells: [
          '',
          String(frameNumber(frame, first)),
          String(framesHeld),
          along === null ? '' : along.toFixed(2),
          ruler === null ? '' : ruler.toFixed(2),
          rulerTotal.toFixed(2),
          headingChangeDeg === null ? '' : `${headingChangeDeg.toFixed(1)}°`,
          mark ? mark.label || mark.kind : '',
        ],
        drawn: ({ middle, y, height }) => [box(middle(0), y + height / 2, 3)],
      };
    },
  });
}

export const incrementPages = (shot: Shot, paper: Paper, first: FirstFrameNumber = 1): Printout =>
  joined(seenMoves(shot).map((move) => incrementsOf(shot, paper, move, first)));

/**
 * The pan table: a line for each exposure of the camera, moved itself or the artwork under it, and each plane's own step.
 * @throws ShotError `out-of-range` when no camera travels
 */
export function panPages(shot: Shot, paper: Paper, first: FirstFrameNumber = 1): Printout {
  const pan = panTable(shot);
  if (!pan) throw outOfRange('No camera travels in this shot.');
  const unit = unitOf(shot);
  const marks = new Set(shot.moves.find(({ id }) => id === pan.moveId)!.marks.map(({ frame }) => frame));
  return tablePrintout(paper, {
    title: `${shot.name}: pan`,
    detail: `Steps in ${unit}. ${detailOf(shot)}`,
    columns: [
      { title: 'done', width: 12, align: 'middle' },
      { title: 'frame', width: 14, align: 'right' },
      { title: 'camera', width: 30, align: 'right' },
      { title: 'artwork', width: 30, align: 'right' },
      { title: 'frame width', width: 22, align: 'right' },
      { title: '%', width: 16, align: 'right' },
      { title: 'turn', width: 16, align: 'right' },
      ...pan.names.map((title): TableColumn => ({ title, width: 30, align: 'right' })),
    ],
    count: pan.rows.length,
    rowAt: (i) => {
      const row = pan.rows[i]!;
      return {
        isStrong: marks.has(row.frame),
        cells: [
          '',
          String(frameNumber(row.frame, first)),
          byCompass(row),
          byCompass(movedArtwork(row)),
          row.width.toFixed(1),
          row.percent.toFixed(1),
          `${row.turnDeg.toFixed(1)}°`,
          ...row.planes.map((step) => byCompass(step)),
        ],
        drawn: ({ middle, y, height }) => [box(middle(0), y + height / 2, 3)],
      };
    },
  });
}
