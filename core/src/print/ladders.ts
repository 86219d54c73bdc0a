import { ShotError } from '../model/errors';
import { frameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { ladderOf } from '../spacing/ladder';
import { ticksOf } from '../spacing/ticks';
import { spansOf } from '../timing/placeInTime';
import { line, pageWith, type Paper, type PrintOp, type PrintPage, roomOn, text } from './paper';

const LADDER_WIDTH = 36;
const LADDER_HEIGHT = 70;
const RULER_HEIGHT = 26;

/** One spacing chart: two keys, and the drawings between them. */
function ladder(shot: Shot, move: Move, index: number, x: number, y: number): readonly PrintOp[] {
  const { from, to, rungs } = ladderOf(shot, move, index);
  const rail = x + 16;
  const at = (share: number): number => y + 4 + share * LADDER_HEIGHT;
  const rung = (share: number, half: number, width: number): PrintOp =>
    line(
      [
        [rail - half, at(share)],
        [rail + half, at(share)],
      ],
      width,
    );
  const number = (share: number, frame: number, beside: string): readonly PrintOp[] => [
    text(rail - 8, at(share) + 1, String(frameNumber(frame)), { size: 2.6, font: 'mono', align: 'right' }),
    text(rail + 8, at(share) + 1, beside, { size: 2.4, tone: 'soft' }),
  ];
  let last = -Infinity;
  const numbers = rungs.flatMap(({ frame, share }) => {
    if (Math.abs(at(share) - last) < 2.8 || at(share) - at(0) < 2.8 || at(1) - at(share) < 2.8) return [];
    last = at(share);
    return number(share, frame, '');
  });
  return [
    line(
      [
        [rail, at(0)],
        [rail, at(1)],
      ],
      0.25,
    ),
    rung(0, 6, 0.6),
    rung(1, 6, 0.6),
    ...rungs.map(({ share }) => rung(share, 3.5, 0.25)),
    ...number(0, from.frame, from.label),
    ...number(1, to.frame, to.label),
    ...numbers,
  ];
}

/** A piece of the arc laid out straight at 1 : 1, from a distance on. */
function ruler(
  shot: Shot,
  move: Move,
  fromMm: number,
  width: number,
  x: number,
  y: number,
): readonly PrintOp[] {
  const mm = shot.field.unitsPerMm!;
  const travel = evaluateMove(shot, move);
  const base = y + 16;
  const marked = new Set(move.marks.map(({ frame }) => frame));
  const until = Math.min(width, travel.arcLength / mm - fromMm);
  let last = -Infinity;
  return [
    line(
      [
        [x, base],
        [x + until, base],
      ],
      0.35,
    ),
    ...ticksOf(travel, shot).flatMap(({ frame, arcDistance, isFifth }): PrintOp[] => {
      const at = x + arcDistance / mm - fromMm;
      if (at < x - 1e-6 || at > x + width + 1e-6) return [];
      const tall = marked.has(frame) ? 12 : isFifth ? 9 : 6;
      const tick = line(
        [
          [at, base],
          [at, base - tall],
        ],
        marked.has(frame) ? 0.5 : 0.25,
      );
      if (Math.abs(at - last) < 5) return [tick];
      last = at;
      return [
        tick,
        text(at, base + 4, String(frameNumber(frame)), { size: 2.6, font: 'mono', align: 'middle' }),
      ];
    }),
  ];
}

/** Spacing charts of all spans that go anywhere, and under them the arc as a paper ruler where the field has a scale. */
export function ladderPages(shot: Shot, paper: Paper): readonly PrintPage[] {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  const moves = shot.moves.filter(({ figureId }) => seen.has(figureId));
  if (moves.length === 0) throw new ShotError('out-of-range', 'Nothing travels in this shot.');
  const room = roomOn(paper);
  const pages: PrintOp[][] = [[]];
  let x = room.x;
  let y = room.y;
  const turnPage = (): void => {
    pages.push([]);
    x = room.x;
    y = room.y;
  };
  for (const move of moves) {
    const spans = spansOf(move).flatMap(({ isHold }, index) => (isHold ? [] : [index]));
    for (const index of spans) {
      if (x + LADDER_WIDTH > room.x + room.width) {
        x = room.x;
        y += LADDER_HEIGHT + 14;
      }
      if (y + LADDER_HEIGHT + 8 > room.y + room.height) turnPage();
      pages[pages.length - 1]!.push(...ladder(shot, move, index, x, y));
      x += LADDER_WIDTH;
    }
    if (x > room.x) {
      x = room.x;
      y += LADDER_HEIGHT + 14;
    }
    const mm = shot.field.unitsPerMm;
    if (mm === null) continue;
    const length = evaluateMove(shot, move).arcLength / mm;
    for (let from = 0; from < length; from += room.width) {
      if (y + RULER_HEIGHT > room.y + room.height) turnPage();
      pages[pages.length - 1]!.push(...ruler(shot, move, from, room.width, room.x, y));
      y += RULER_HEIGHT;
    }
  }
  return pages.map((ops, i) =>
    pageWith(
      paper,
      {
        title: `${shot.name}: spacing charts`,
        detail: 'The ruler is 1 : 1: lay it along the track.',
        page: i + 1,
        of: pages.length,
      },
      ops,
    ),
  );
}
