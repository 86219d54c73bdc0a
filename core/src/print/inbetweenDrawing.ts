import type { Vector } from '../arc/vector';
import { pivotOfDrawing } from '../inbetween/drawnPair';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { DrawingPicture, Move, Shot } from '../model/schema';
import { type BetweenOn, betweenOn } from '../motion/betweenOn';
import { evaluateMove, type Travel } from '../motion/evaluate';
import { figureOn } from '../motion/figureOn';
import { followedSpots, spotOn, spotUnder } from '../motion/spotTrail';
import {
  drawingAt,
  drawingNumber,
  fractionName,
  type NumberedDrawing,
  numberedDrawings,
} from '../spacing/drawingNumbers';
import { ladderThrough } from '../spacing/ladder';
import { line, type PrintOp, ring, text } from './paper';

/** One in-between to be drawn, with all that its sheet shows. */
export interface SheetDrawing {
  readonly move: Move;
  readonly travel: Travel;
  readonly numbered: NumberedDrawing;
  readonly between: BetweenOn;
  readonly first: DrawingPicture;
  readonly second: DrawingPicture;
}

export function sheetDrawings(shot: Shot): readonly SheetDrawing[] {
  const seen = new Set(shot.figures.filter(({ hidden }) => !hidden).map(({ id }) => id));
  return shot.moves
    .filter(({ figureId }) => seen.has(figureId))
    .flatMap((move) => {
      const travel = evaluateMove(shot, move);
      const { artwork } = travel.figure;
      if (artwork.kind !== 'pictures') return [];
      return numberedDrawings(shot, move).flatMap((numbered): SheetDrawing[] => {
        const between = numbered.role === 'key' ? null : betweenOn(travel, numbered.frame);
        if (!between) return [];
        const [first, second] = [between.from, between.to].map(
          ({ drawing }) => artwork.drawings[drawing - 1]!,
        );
        return [{ move, travel, numbered, between, first: first!, second: second! }];
      });
    });
}

/** From the units of the first drawing's picture to the paper. */
export interface Place {
  readonly mm: number;
  readonly x: number;
  readonly y: number;
}

const at = ({ mm, x, y }: Place, spot: Vector): readonly [number, number] => [
  x + mm * spot.x,
  y + mm * spot.y,
];

function ringLine(place: Place, flat: ArrayLike<number>, shift: Vector): (readonly [number, number])[] {
  const points: (readonly [number, number])[] = [];
  for (let i = 0; i <= flat.length; i += 2) {
    const k = i % flat.length;
    points.push(at(place, { x: flat[k]! + shift.x, y: flat[k + 1]! + shift.y }));
  }
  return points;
}

const CROSS_MM = 1.6;

function cross([x, y]: readonly [number, number], isUpright: boolean): readonly PrintOp[] {
  const r = isUpright ? CROSS_MM * 1.3 : CROSS_MM;
  const ends: readonly (readonly [number, number])[] = isUpright
    ? [
        [r, 0],
        [0, r],
      ]
    : [
        [r * Math.SQRT1_2, r * Math.SQRT1_2],
        [r * Math.SQRT1_2, -r * Math.SQRT1_2],
      ];
  return ends.map(([dx, dy]) =>
    line(
      [
        [x - dx, y - dy],
        [x + dx, y + dy],
      ],
      0.25,
    ),
  );
}

const NO_SHIFT: Vector = { x: 0, y: 0 };

/** Both keys faint, the in-between dotted, its pins and the spots that are followed. */
export function drawingOps(
  { between, travel, numbered, first, second }: SheetDrawing,
  place: Place,
): readonly PrintOp[] {
  const { figure } = travel;
  const [a, b] = [pivotOfDrawing(figure, first), pivotOfDrawing(figure, second)];
  const shift = { x: a.x - b.x, y: a.y - b.y };
  const { placement } = figureOn(travel, numbered.frame - 1);
  const spots = followedSpots(travel).flatMap((followed) => {
    const on = spotOn(travel, followed, numbered.frame);
    return on ? [{ name: followed.spot.name, spot: spotUnder(placement, on) }] : [];
  });
  return [
    ...first.outline.map((flat) => line(ringLine(place, flat, NO_SHIFT), 0.15, 'soft')),
    ...second.outline.map((flat) => line(ringLine(place, flat, shift), 0.15, 'soft')),
    ...between.rings.map((flat): PrintOp => ({
      kind: 'line',
      points: ringLine(place, flat, NO_SHIFT),
      width: 0.35,
      tone: 'ink',
      isDashed: true,
    })),
    ...between.pins.flatMap((spot) => cross(at(place, spot), false)),
    ...spots.flatMap(({ name, spot }) => {
      const [x, y] = at(place, spot);
      return [...cross([x, y], true), text(x + 2.4, y - 1, name, { size: 2.4, tone: 'soft' })];
    }),
  ];
}

export const CHART = { width: 26, height: 40 } as const;

/** The chart of the span, with the rung of this drawing longer than the others. */
export function chartOps(
  shot: Shot,
  { move, numbered, between }: SheetDrawing,
  x: number,
  y: number,
  first: FirstFrameNumber,
): readonly PrintOp[] {
  const { rungs } = ladderThrough(shot, move, between);
  const rail = x + CHART.width / 2;
  const down = (share: number): number => y + share * CHART.height;
  const rung = (share: number, half: number, width: number): PrintOp =>
    line(
      [
        [rail - half, down(share)],
        [rail + half, down(share)],
      ],
      width,
    );
  const drawings = numberedDrawings(shot, move);
  const number = (frame: number): string => {
    const one = drawingAt(drawings, frame);
    return one ? drawingNumber(one, shot, first) : String(frameNumber(frame, first));
  };
  let last = -Infinity;
  const numbers = rungs.flatMap(({ frame, share }) => {
    const isThis = frame === numbered.frame;
    const level = down(share);
    if (!isThis && (level - last < 2.6 || level - down(0) < 2.6 || down(1) - level < 2.6)) return [];
    last = level;
    return [
      text(rail - 6, level + 0.9, number(frame), { size: 2.4, font: 'mono', align: 'right' }),
      text(rail + 6, level + 0.9, fractionName(share) ?? '', { size: 2.2, tone: 'soft' }),
    ];
  });
  const key = (frame: number, share: number): readonly PrintOp[] => [
    rung(share, 4.5, 0.5),
    ring(rail - 8, down(share), 2),
    text(rail - 8, down(share) + 0.9, number(frame), { size: 2.4, font: 'mono', align: 'middle' }),
  ];
  return [
    line(
      [
        [rail, down(0)],
        [rail, down(1)],
      ],
      0.2,
    ),
    ...rungs.map(({ frame, share }) =>
      frame === numbered.frame ? rung(share, 4.5, 0.5) : rung(share, 2.5, 0.2),
    ),
    ...key(between.from.frame, 0),
    ...key(between.to.frame, 1),
    ...numbers,
  ];
}

export function numberOps(
  shot: Shot,
  { numbered }: SheetDrawing,
  x: number,
  y: number,
  first: FirstFrameNumber,
): readonly PrintOp[] {
  const number = drawingNumber(numbered, shot, first);
  const under: readonly PrintOp[] =
    numbered.role === 'breakdown'
      ? [
          line(
            [
              [x - 8, y + 1.4],
              [x, y + 1.4],
            ],
            0.4,
          ),
        ]
      : [];
  return [
    text(x, y, number, { size: 6, font: 'mono', align: 'right' }),
    ...under,
    text(x, y + 5.4, `frame ${frameNumber(numbered.frame, first)}`, {
      size: 2.8,
      align: 'right',
      tone: 'soft',
    }),
  ];
}

export interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What all drawings of a pair and those between them reach over, in the units of the first. */
export function reachOf(drawings: readonly SheetDrawing[]): Box {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  const reach = (flat: ArrayLike<number>, shift: Vector): void => {
    for (let i = 0; i < flat.length; i += 2) {
      left = Math.min(left, flat[i]! + shift.x);
      right = Math.max(right, flat[i]! + shift.x);
      top = Math.min(top, flat[i + 1]! + shift.y);
      bottom = Math.max(bottom, flat[i + 1]! + shift.y);
    }
  };
  for (const { travel, first, second, between } of drawings) {
    const [a, b] = [pivotOfDrawing(travel.figure, first), pivotOfDrawing(travel.figure, second)];
    for (const flat of first.outline) reach(flat, NO_SHIFT);
    for (const flat of second.outline) reach(flat, { x: a.x - b.x, y: a.y - b.y });
    for (const flat of between.rings) reach(flat, NO_SHIFT);
  }
  return { left, top, right, bottom };
}
