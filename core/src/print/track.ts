import { pointAtDistance } from '../arc/arcMeasure';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Shot } from '../model/schema';
import { evaluate, type Travel } from '../motion/evaluate';
import { ticksOf } from '../spacing/ticks';
import { type Heading, line, pageWith, type Paper, type PrintOp, roomOn, type Room, text } from './paper';
import type { Printout } from './printout';
import { textWidth } from './textWidth';
import { refuseTooMany } from './tooMany';

/** What lies on the set is drawn at true scale: so much of it belongs to the arc on each side, mm. */
const BESIDE = 18;
/** Tiles share so much, mm. */
const OVERLAP = 10;

const TICK = 3;
const LONG_TICK = 5;
const POST = 7;
const ARROW = 9;
/** The arc is drawn in pieces no longer than this, mm. */
const PIECE = 0.5;
const MAX_PIECES = 8000;

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

function trackOf(travel: Travel, shot: Shot, mm: number, first: FirstFrameNumber): readonly PrintOp[] {
  const { arc, arcLength, move, heading } = travel;
  const count = Math.min(MAX_PIECES, Math.max(8, Math.ceil(arcLength / mm / PIECE)));
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
      text(numberX, numberY + 1, String(frameNumber(frame, first)), {
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

const tileName = (row: number, column: number): string =>
  `${row < 26 ? '' : NAMES[Math.floor(row / 26) - 1]}${NAMES[row % 26]}${column + 1}`;

interface Tile {
  readonly row: number;
  readonly column: number;
}

const tileKey = ({ row, column }: Tile): string => `${row} ${column}`;

interface Tiling {
  readonly rows: number;
  readonly columns: number;
  readonly stepX: number;
  readonly stepY: number;
  readonly tiles: readonly Tile[];
  readonly has: (row: number, column: number) => boolean;
  readonly opsOn: (tile: Tile) => readonly PrintOp[];
}

function stretchesOver(from: number, until: number, step: number, reach: number, count: number) {
  const first = Math.max(0, Math.ceil((from - reach) / step));
  return [Math.min(first, count - 1), Math.min(count - 1, Math.max(0, Math.floor(until / step)))] as const;
}

function inkOf(op: PrintOp): Box {
  if (op.kind === 'text') {
    const width = textWidth(op.text, op.size, op.font);
    const left = op.x - (op.align === 'middle' ? width / 2 : op.align === 'right' ? width : 0);
    return { left, right: left + width, top: op.y - op.size, bottom: op.y };
  }
  if (op.kind === 'clip')
    return {
      left: op.room.x,
      top: op.room.y,
      right: op.room.x + op.room.width,
      bottom: op.room.y + op.room.height,
    };
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of op.points) {
    [left, right] = [Math.min(left, x), Math.max(right, x)];
    [top, bottom] = [Math.min(top, y), Math.max(bottom, y)];
  }
  return { left, top, right, bottom };
}

/** Spreads a drawing over tiles of a room, and leaves out those that nothing lies on. */
function tilingOf(ops: readonly PrintOp[], box: Box, room: Room): Tiling {
  const [stepX, stepY] = [room.width - OVERLAP, room.height - OVERLAP];
  const columns = Math.max(1, Math.ceil((box.right - box.left - OVERLAP) / stepX));
  const rows = Math.max(1, Math.ceil((box.bottom - box.top - OVERLAP) / stepY));
  refuseTooMany(rows * columns);
  const onTiles = new Map<string, PrintOp[]>();
  const inked = new Set<string>();
  const tilesOver = ({ left, top, right, bottom }: Box, owned: boolean): Tile[] => {
    // Neighbours are cut in the middle of what they share.
    const inset = owned ? OVERLAP / 2 : 0;
    const across = stretchesOver(
      left - box.left - inset,
      right - box.left - inset,
      stepX,
      room.width - 2 * inset,
      columns,
    );
    const down = stretchesOver(
      top - box.top - inset,
      bottom - box.top - inset,
      stepY,
      room.height - 2 * inset,
      rows,
    );
    const found: Tile[] = [];
    for (let row = down[0]; row <= down[1]; row++)
      for (let column = across[0]; column <= across[1]; column++) found.push({ row, column });
    return found;
  };
  const put = (tile: Tile, op: PrintOp): void => {
    const on = onTiles.get(tileKey(tile));
    if (on) on.push(op);
    else onTiles.set(tileKey(tile), [op]);
  };
  for (const op of ops) {
    if (op.kind !== 'line') {
      for (const tile of tilesOver(inkOf(op), false)) put(tile, op);
      for (const tile of tilesOver(inkOf(op), true)) inked.add(tileKey(tile));
      continue;
    }
    // Of a long line a tile gets the stretches that come over it.
    const runs = new Map<string, { tile: Tile; last: number; points: (readonly [number, number])[] }>();
    const end = (key: string): void => {
      const run = runs.get(key);
      if (run) put(run.tile, { ...op, points: run.points });
      runs.delete(key);
    };
    for (let i = 0; i + 1 < op.points.length; i++) {
      const [a, b] = [op.points[i]!, op.points[i + 1]!];
      const segment = inkOf({ ...op, points: [a, b] });
      for (const tile of tilesOver(segment, true)) inked.add(tileKey(tile));
      for (const tile of tilesOver(segment, false)) {
        const key = tileKey(tile);
        if (runs.get(key)?.last !== i) end(key);
        const run = runs.get(key) ?? { tile, last: i, points: [a] };
        run.points.push(b);
        run.last = i + 1;
        runs.set(key, run);
      }
    }
    for (const key of [...runs.keys()]) end(key);
  }
  const isInked = (row: number, column: number): boolean => inked.has(tileKey({ row, column }));
  // Two that only meet at a corner are held together by one beside them.
  const holds = (row: number, column: number): boolean =>
    [-1, 1].some(
      (side) => isInked(row + 1, column) && isInked(row, column + side) && !isInked(row + 1, column + side),
    );
  const all = Array.from({ length: rows * columns }, (_, i): Tile => ({
    row: Math.floor(i / columns),
    column: i % columns,
  }));
  const tiles = all.filter(({ row, column }) => isInked(row, column) || holds(row, column));
  const kept = new Set(tiles.map(tileKey));
  return {
    rows,
    columns,
    stepX,
    stepY,
    tiles,
    has: (row, column) => kept.has(tileKey({ row, column })),
    opsOn: (tile) => onTiles.get(tileKey(tile)) ?? [],
  };
}

/** Register marks in the middle of what neighbouring tiles share, two a join so that neither can turn: laid on each other they make one. */
function crosses(room: Room, { row, column }: Tile, { has }: Tiling): PrintOp[] {
  const half = OVERLAP / 2;
  const [right, bottom] = [room.x + room.width, room.y + room.height];
  const across = [room.x + room.width / 4, right - room.width / 4];
  const down = [room.y + room.height / 4, bottom - room.height / 4];
  const spots = [
    ...(has(row, column - 1) ? down.map((y) => [room.x + half, y] as const) : []),
    ...(has(row, column + 1) ? down.map((y) => [right - half, y] as const) : []),
    ...(has(row - 1, column) ? across.map((x) => [x, room.y + half] as const) : []),
    ...(has(row + 1, column) ? across.map((x) => [x, bottom - half] as const) : []),
  ];
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

/** More tiles than this would be a grey patch. */
const MAX_ON_MAP = 400;

function map(paper: Paper, { rows, columns, tiles }: Tiling, { row, column }: Tile): PrintOp[] {
  if (tiles.length === 1 || tiles.length > MAX_ON_MAP) return [];
  const cell = Math.min(4, 16 / columns, 9 / rows);
  const left = paper.width - 12 - 16 - columns * cell;
  const top = 12;
  const frame = (tile: Tile): PrintOp => {
    const [x, y] = [left + tile.column * cell, top + tile.row * cell];
    return line(
      [
        [x, y],
        [x + cell, y],
        [x + cell, y + cell],
        [x, y + cell],
        [x, y],
      ],
      0.15,
      'soft',
    );
  };
  const [x, y] = [left + column * cell, top + row * cell];
  return [
    ...tiles.map(frame),
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
export function trackPages(shot: Shot, paper: Paper, first: FirstFrameNumber = 1): Printout {
  const mm = shot.field.unitsPerMm;
  if (mm === null) throw outOfRange('True scale needs the scale of the field: set it first.');
  const travels = evaluate(shot).travels.filter(({ figure, arc }) => !figure.hidden && !arc.hidden);
  if (travels.length === 0) throw outOfRange('Nothing travels in this shot.');
  const ops = travels.flatMap((travel) => trackOf(travel, shot, mm, first));
  const box = boxOf(ops);
  const room = roomOn(paper);
  const tiling = tilingOf(ops, box, room);
  const { tiles, stepX, stepY } = tiling;
  return {
    count: tiles.length,
    pageAt: (index) => {
      const tile = tiles[index]!;
      const [dx, dy] = [room.x - box.left - tile.column * stepX, room.y - box.top - tile.row * stepY];
      const name = tiles.length > 1 ? `Tile ${tileName(tile.row, tile.column)}` : '';
      const heading: Heading = {
        title: `${shot.name}: track`,
        detail: `1 : 1. ${name}`.trim(),
        page: index + 1,
        of: tiles.length,
      };
      return pageWith(paper, heading, [
        ...map(paper, tiling, tile),
        { kind: 'clip', room, ops: tiling.opsOn(tile).map((op) => shifted(op, dx, dy)) },
        ...crosses(room, tile, tiling),
      ]);
    },
  };
}
