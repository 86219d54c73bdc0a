import { pointAtDistance } from '../arc/arcMeasure';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import { outOfRange } from '../model/errors';
import type { Shot } from '../model/schema';
import { evaluate, type Travel } from '../motion/evaluate';
import { ticksOf } from '../spacing/ticks';
import { type Heading, line, pageWith, type Paper, type PrintOp, roomOn, text } from './paper';
import type { Printout } from './printout';
import { type Box, crosses, tileMap, tileName, tilingOf } from './tiles';

/** What lies on the set is drawn at true scale: so much of it belongs to the arc on each side, mm. */
const BESIDE = 18;

const TICK = 3;
const LONG_TICK = 5;
const POST = 7;
const ARROW = 9;
/** The arc is drawn in pieces no longer than this, mm. */
const PIECE = 0.5;
const MAX_PIECES = 8000;

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
        ...tileMap(paper, tiling, tile),
        { kind: 'clip', room, ops: tiling.opsOn(tile).map((op) => shifted(op, dx, dy)) },
        ...crosses(room, tile, tiling),
      ]);
    },
  };
}
