import { line, type Paper, type PrintOp, type Room } from './paper';
import { textWidth } from './textWidth';
import { refuseTooMany } from './tooMany';

/** Tiles share so much, mm. */
const OVERLAP = 10;

/** What something covers, mm. */
export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

const NAMES = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';

/** Rows have letters, columns numbers: A1, A2, … AA1. */
export const tileName = (row: number, column: number): string =>
  `${row < 26 ? '' : NAMES[Math.floor(row / 26) - 1]}${NAMES[row % 26]}${column + 1}`;

export interface Tile {
  readonly row: number;
  readonly column: number;
}

const tileKey = ({ row, column }: Tile): string => `${row} ${column}`;

export interface Tiling {
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
export function tilingOf(ops: readonly PrintOp[], box: Box, room: Room): Tiling {
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
export function crosses(room: Room, { row, column }: Tile, { has }: Tiling): PrintOp[] {
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

/** Where a tile lies among the others, drawn small in a corner of the page. */
export function tileMap(paper: Paper, { rows, columns, tiles }: Tiling, { row, column }: Tile): PrintOp[] {
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
