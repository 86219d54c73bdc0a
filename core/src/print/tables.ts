import { ShotError } from '../model/errors';
import { frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { exposureSheet } from '../spacing/exposureSheet';
import { incrementTable } from '../spacing/increments';
import { currentTake } from '../timing/takes';
import { line, pageWith, type Paper, type PrintOp, type PrintPage, roomOn, text } from './paper';

interface TableColumn {
  readonly title: string;
  readonly width: number;
  readonly align: 'left' | 'right' | 'middle';
}

interface TableRow {
  readonly cells: readonly string[];
  /** Every fifth frame, and where a mark is. */
  readonly isStrong: boolean;
  /** Lines and boxes in the row. @param x and y of its upper left corner */
  readonly drawn?: (x: number, y: number) => readonly PrintOp[];
}

const ROW = 5.2;

/** A letter of a size takes about so much of it across. */
const LETTER = 0.55;

/** A text that fits a width; what is too long ends in dots. */
function fitted(content: string, width: number, size: number): string {
  const most = Math.max(1, Math.floor(width / (size * LETTER)));
  return content.length <= most ? content : `${content.slice(0, Math.max(1, most - 1))}…`;
}

/** A table over as many pages as it needs, its head on each. */
function tablePages(
  paper: Paper,
  { title, detail }: { readonly title: string; readonly detail: string },
  columns: readonly TableColumn[],
  rows: readonly TableRow[],
): readonly PrintPage[] {
  const room = roomOn(paper);
  const each = Math.max(1, Math.floor((room.height - 8) / ROW));
  const count = Math.max(1, Math.ceil(rows.length / each));
  const widths = columns.reduce((sum, { width }) => sum + width, 0);
  // Narrow tables stay narrow; wide ones share what there is.
  const k = Math.min(1, room.width / widths);
  const starts = columns.map(
    (_, i) => room.x + k * columns.slice(0, i).reduce((sum, { width }) => sum + width, 0),
  );
  const cell = (content: string, i: number, y: number, isHead: boolean): PrintOp => {
    const { align } = columns[i]!;
    const width = columns[i]!.width * k;
    const x = starts[i]! + (align === 'left' ? 1 : align === 'right' ? width - 1 : width / 2);
    const size = isHead ? 2.6 : 3;
    return text(x, y, fitted(content, width - 2, size), {
      size,
      align,
      font: isHead || align === 'left' ? 'sans' : 'mono',
      tone: isHead ? 'soft' : 'ink',
    });
  };
  return Array.from({ length: count }, (_, page) => {
    const ops: PrintOp[] = columns.map(({ title: head }, i) => cell(head, i, room.y + 4, true));
    const right = room.x + k * widths;
    rows.slice(page * each, (page + 1) * each).forEach(({ cells, isStrong, drawn }, i) => {
      const y = room.y + 8 + i * ROW;
      ops.push(
        line(
          [
            [room.x, y],
            [right, y],
          ],
          isStrong ? 0.25 : 0.1,
          'soft',
        ),
        ...cells.flatMap((content, c) => (content === '' ? [] : [cell(content, c, y + 3.7, false)])),
        ...(drawn?.(room.x, y) ?? []),
      );
    });
    return pageWith(paper, { title, detail, page: page + 1, of: count }, ops);
  });
}

const detailOf = (shot: Shot): string =>
  `${shot.lengthFrames} frames at ${shot.rate} a second. ${currentTake(shot).name}.`;

/** The exposure sheet: a line for each frame, with a stroke down through what is held. */
export function exposurePages(shot: Shot, paper: Paper): readonly PrintPage[] {
  const { columns, cues, notes } = exposureSheet(shot);
  if (columns.length === 0) throw new ShotError('out-of-range', 'Nothing travels in this shot.');
  const FRAME = 12;
  const HEARD = 26;
  const EACH = { picture: 14, mark: 24, step: 16 };
  const group = EACH.picture + EACH.mark + EACH.step;
  const table: TableColumn[] = [
    { title: 'frame', width: FRAME, align: 'right' },
    { title: 'heard', width: HEARD, align: 'left' },
    ...columns.flatMap(({ figure }): TableColumn[] => [
      { title: figure, width: EACH.picture, align: 'middle' },
      { title: '', width: EACH.mark, align: 'left' },
      { title: 'step', width: EACH.step, align: 'right' },
    ]),
    { title: 'note', width: 60, align: 'left' },
  ];
  const room = roomOn(paper);
  const k = Math.min(1, room.width / table.reduce((sum, { width }) => sum + width, 0));
  const rows = Array.from({ length: shot.lengthFrames }, (_, i): TableRow => {
    const frame = i + 1;
    return {
      isStrong: frame % 5 === 0,
      cells: [
        String(frameNumber(frame)),
        (cues.get(frame) ?? []).map(({ word }) => word).join(' '),
        ...columns.flatMap(({ cells }) => {
          const { shows, drawing, mark, ruler } = cells[i]!;
          return [
            shows === 'begins' ? String(drawing ?? '●') : '',
            mark ? mark.label || mark.kind : '',
            ruler === null ? '' : ruler.toFixed(1),
          ];
        }),
        (notes.get(frame) ?? [])
          .filter(({ from }) => from === frame)
          .map((note) => note.text)
          .join('; '),
      ],
      drawn: (x, y) =>
        columns.flatMap(({ cells }, c): PrintOp[] => {
          if (cells[i]!.shows !== 'held') return [];
          const middle = x + k * (FRAME + HEARD + c * group + EACH.picture / 2);
          return [
            line(
              [
                [middle, y],
                [middle, y + ROW],
              ],
              0.3,
            ),
          ];
        }),
    };
  });
  return tablePages(paper, { title: `${shot.name}: exposure sheet`, detail: detailOf(shot) }, table, rows);
}

/** The increments with a box to tick off beside each. */
export function incrementPages(shot: Shot, paper: Paper): readonly PrintPage[] {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const moves = shot.moves.filter(({ figureId }) => seen.has(figureId));
  if (moves.length === 0) throw new ShotError('out-of-range', 'Nothing travels in this shot.');
  const unit = shot.sheet.units === 'mm' ? 'mm' : 'units';
  const columns: TableColumn[] = [
    { title: 'done', width: 12, align: 'middle' },
    { title: 'frame', width: 16, align: 'right' },
    { title: 'held', width: 12, align: 'right' },
    { title: `along ${unit}`, width: 24, align: 'right' },
    { title: `ruler ${unit}`, width: 24, align: 'right' },
    { title: `total ${unit}`, width: 24, align: 'right' },
    { title: 'turn', width: 20, align: 'right' },
    { title: 'mark', width: 50, align: 'left' },
  ];
  return moves.flatMap((move) => {
    const { rows } = incrementTable(shot, move);
    const figure = shot.figures.find(({ id }) => id === move.figureId)!.name;
    const marks = new Map(move.marks.map((mark) => [mark.frame, mark]));
    return tablePages(
      paper,
      { title: `${shot.name}: ${figure}`, detail: `Increments. ${detailOf(shot)}` },
      columns,
      rows.map(({ frame, framesHeld, along, ruler, rulerTotal, headingChangeDeg }): TableRow => {
        const mark = marks.get(frame);
        return {
          isStrong: mark !== undefined,
          cells: [
            '',
            String(frameNumber(frame)),
            String(framesHeld),
            along === null ? '' : along.toFixed(2),
            ruler === null ? '' : ruler.toFixed(2),
            rulerTotal.toFixed(2),
            headingChangeDeg === null ? '' : `${headingChangeDeg.toFixed(1)}°`,
            mark ? mark.label || mark.kind : '',
          ],
          drawn: (x, y) => [
            line(
              [
                [x + 4.5, y + 1.1],
                [x + 7.5, y + 1.1],
                [x + 7.5, y + 4.1],
                [x + 4.5, y + 4.1],
                [x + 4.5, y + 1.1],
              ],
              0.2,
            ),
          ],
        };
      }),
    );
  });
}
