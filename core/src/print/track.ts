import { pointAtDistance } from '../arc/arcMeasure';
import { frameNumber } from '../model/frameNumbers';
import { ShotError } from '../model/errors';
import type { Shot } from '../model/schema';
import { evaluate, type Travel } from '../motion/evaluate';
import { ticksOf } from '../spacing/ticks';
import {
  type Heading,
  line,
  pageWith,
  type Paper,
  type PrintOp,
  type PrintPage,
  roomOn,
  type Room,
  text,
} from './paper';

/** What lies on the set is drawn at true scale: so much of it belongs to the arc on each side, mm. */
const BESIDE = 18;
/** Tiles share so much, mm. */
const OVERLAP = 10;
const MOST_TILES = 100;

const TICK = 3;
const LONG_TICK = 5;
const POST = 7;
const ARROW = 9;
/** The arc is drawn in pieces no longer than this, mm. */
const PIECE = 0.5;
const MOST_PIECES = 8000;

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The track of a travel in millimetres of the set. */
function trackOf(travel: Travel, shot: Shot, mm: number): readonly PrintOp[] {
  const { arc, arcLength, move, heading } = travel;
  const count = Math.min(MOST_PIECES, Math.max(8, Math.ceil(arcLength / mm / PIECE)));
  const path = Array.from({ length: count + 1 }, (_, i): readonly [number, number] => {
    const { x, y } = pointAtDistance(arc, (i / count) * arcLength);
    return [x / mm, y / mm];
  });
  const marked = new Set(move.marks.map(({ frame }) => frame));
  const ticks = ticksOf(travel, shot).flatMap(({ frame, x, y, acrossX, acrossY, isFifth }): PrintOp[] => {
    const half = marked.has(frame) ? POST : isFifth ? LONG_TICK : TICK;
    const [px, py] = [x / mm, y / mm];
    const at = (across: number): readonly [number, number] => [px + acrossX * across, py + acrossY * across];
    const [numberX, numberY] = at(-half - 2.5);
    return [
      line([at(-half), at(half)], marked.has(frame) ? 0.5 : 0.25),
      text(numberX, numberY + 1, String(frameNumber(frame)), {
        size: isFifth || marked.has(frame) ? 3 : 2.2,
        font: 'mono',
        align: 'middle',
      }),
    ];
  });
  const keys = move.marks.flatMap(({ frame }): PrintOp[] => {
    const i = Math.min(frame, travel.x.length) - 1;
    const [x, y] = [travel.pivotX[i]! / mm, travel.pivotY[i]! / mm];
    const radians = (heading[i]! * Math.PI) / 180;
    return [
      // Where its foot stands, and the way that it looks.
      line(
        [
          [x - 2, y - 2],
          [x + 2, y + 2],
        ],
        0.35,
      ),
      line(
        [
          [x - 2, y + 2],
          [x + 2, y - 2],
        ],
        0.35,
      ),
      {
        kind: 'line',
        points: [
          [x, y],
          [x + ARROW * Math.cos(radians), y + ARROW * Math.sin(radians)],
        ],
        width: 0.2,
        tone: 'soft',
        isDashed: true,
      },
    ];
  });
  return [line(path, 0.4), ...ticks, ...keys];
}

/** The box of lines and texts. */
function boxOf(ops: readonly PrintOp[]): Box {
  const points = ops.flatMap((op) =>
    op.kind === 'line' ? op.points : op.kind === 'text' ? [[op.x, op.y] as const] : [],
  );
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const least = (values: readonly number[]): number => values.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b), -Infinity);
  return {
    left: least(xs) - BESIDE / 2,
    top: least(ys) - BESIDE / 2,
    right: most(xs) + BESIDE / 2,
    bottom: most(ys) + BESIDE / 2,
  };
}

const shifted = (op: PrintOp, dx: number, dy: number): PrintOp => {
  if (op.kind === 'line') return { ...op, points: op.points.map(([x, y]) => [x + dx, y + dy] as const) };
  return op.kind === 'text' ? { ...op, x: op.x + dx, y: op.y + dy } : op;
};

const NAMES = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** The name of a tile: a letter for its row, a number for its column. */
const tileName = (row: number, column: number): string => `${NAMES[row % 26]}${column + 1}`;

/** Crossing marks in the middle of what neighbouring tiles share: laid on each other they make one. */
function crosses(
  room: Room,
  hasRight: boolean,
  hasBelow: boolean,
  hasLeft: boolean,
  hasAbove: boolean,
): PrintOp[] {
  const half = OVERLAP / 2;
  const xs = [...(hasLeft ? [room.x + half] : []), ...(hasRight ? [room.x + room.width - half] : [])];
  const ys = [...(hasAbove ? [room.y + half] : []), ...(hasBelow ? [room.y + room.height - half] : [])];
  const middleX = room.x + room.width / 2;
  const middleY = room.y + room.height / 2;
  const spots = [...xs.map((x) => [x, middleY] as const), ...ys.map((y) => [middleX, y] as const)];
  return spots.flatMap(([x, y]) => [
    line(
      [
        [x - 4, y],
        [x + 4, y],
      ],
      0.2,
      'soft',
    ),
    line(
      [
        [x, y - 4],
        [x, y + 4],
      ],
      0.2,
      'soft',
    ),
  ]);
}

/** How the tiles lie, with this one crossed out, in the head of the page. */
function map(paper: Paper, rows: number, columns: number, row: number, column: number): PrintOp[] {
  if (rows * columns === 1) return [];
  const cell = Math.min(4, 16 / columns, 9 / rows);
  const left = paper.width - 12 - 16 - columns * cell;
  const top = 12;
  const frame = (r: number, c: number): PrintOp =>
    line(
      [
        [left + c * cell, top + r * cell],
        [left + (c + 1) * cell, top + r * cell],
        [left + (c + 1) * cell, top + (r + 1) * cell],
        [left + c * cell, top + (r + 1) * cell],
        [left + c * cell, top + r * cell],
      ],
      0.15,
      'soft',
    );
  const cells = Array.from({ length: rows * columns }, (_, i) => frame(Math.floor(i / columns), i % columns));
  const [x, y] = [left + column * cell, top + row * cell];
  return [
    ...cells,
    line(
      [
        [x, y],
        [x + cell, y + cell],
      ],
      0.3,
    ),
    line(
      [
        [x + cell, y],
        [x, y + cell],
      ],
      0.3,
    ),
  ];
}

/**
 * The tracks of a shot at true scale, to lay under the puppet: tiles of one drawing, with marks to put them together by.
 * @throws ShotError `out-of-range` without a scale, without a move, or where it would take too many pages
 */
export function trackPages(shot: Shot, paper: Paper): readonly PrintPage[] {
  const mm = shot.field.unitsPerMm;
  if (mm === null)
    throw new ShotError('out-of-range', 'True scale needs the scale of the field: set it first.');
  const travels = evaluate(shot).travels.filter(({ figure, arc }) => !figure.hidden && !arc.hidden);
  if (travels.length === 0) throw new ShotError('out-of-range', 'Nothing travels in this shot.');
  const ops = travels.flatMap((travel) => trackOf(travel, shot, mm));
  const box = boxOf(ops);
  const room = roomOn(paper);
  const stepX = room.width - OVERLAP;
  const stepY = room.height - OVERLAP;
  const columns = Math.max(1, Math.ceil((box.right - box.left - OVERLAP) / stepX));
  const rows = Math.max(1, Math.ceil((box.bottom - box.top - OVERLAP) / stepY));
  if (rows * columns > MOST_TILES)
    throw new ShotError(
      'out-of-range',
      `At true scale that takes ${rows * columns} pages, and ${MOST_TILES} is the most. Check the scale of the field.`,
    );
  return Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    const [dx, dy] = [room.x - box.left - column * stepX, room.y - box.top - row * stepY];
    const name = rows * columns > 1 ? `Tile ${tileName(row, column)}` : '';
    const heading: Heading = {
      title: `${shot.name}: track`,
      detail: `1 : 1. ${name}`.trim(),
      page: i + 1,
      of: rows * columns,
    };
    return pageWith(paper, heading, [
      ...map(paper, rows, columns, row, column),
      { kind: 'clip', room, ops: ops.map((op) => shifted(op, dx, dy)) },
      ...crosses(room, column < columns - 1, row < rows - 1, column > 0, row > 0),
    ]);
  });
}
