import type { Vector } from '../arc/vector';
import { pivotOfDrawing } from '../inbetween/drawnPair';
import { outOfRange } from '../model/errors';
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
import { line, pageWith, type Paper, type PrintOp, type PrintPage, ring, roomOn, text } from './paper';
import type { Printout } from './printout';
import { refuseTooMany } from './tooMany';

/** What lines sheets up with each other: three crosses or three holes in a row, or nothing. */
export interface RegisterRow {
  readonly kind: 'none' | 'crosses' | 'holes';
  readonly edge: 'top' | 'bottom';
  /** From the middle one to those beside it, millimetres. */
  readonly apartMm: number;
  /** From the edge of the paper to their middles, millimetres. */
  readonly fromEdgeMm: number;
  /** Holes: how wide the middle one is, and the outer ones; all are as high as the middle one. Millimetres. */
  readonly middleMm: number;
  readonly outerMm: number;
}

export interface InbetweenOptions {
  /** How high the first drawing is on paper, millimetres; null for its real height, or what the page has room for. */
  readonly heightMm: number | null;
  readonly register: RegisterRow;
}

export const PLAIN_REGISTER: RegisterRow = {
  kind: 'crosses',
  edge: 'bottom',
  apartMm: 80,
  fromEdgeMm: 9,
  middleMm: 6,
  outerMm: 10,
};

/** One in-between to be drawn, with all that its sheet shows. */
interface SheetDrawing {
  readonly move: Move;
  readonly travel: Travel;
  readonly numbered: NumberedDrawing;
  readonly between: BetweenOn;
  readonly first: DrawingPicture;
  readonly second: DrawingPicture;
}

function sheetDrawings(shot: Shot): readonly SheetDrawing[] {
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

const NOTHING_DRAWN_THROUGH =
  'Nothing is drawn through in this shot: choose two drawings in Figure, Drawings, and tap Draw through.';

/** Whether a shot has sheets to be drawn on. */
export const hasInbetweens = (shot: Shot): boolean => sheetDrawings(shot).length > 0;

/** From the units of the first drawing's picture to the paper. */
interface Place {
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
function drawingOps(
  { between, travel, numbered, first, second }: SheetDrawing,
  place: Place,
): readonly PrintOp[] {
  const { figure } = travel;
  const [a, b] = [pivotOfDrawing(figure, first), pivotOfDrawing(figure, second)];
  const shift = { x: a.x - b.x, y: a.y - b.y };
  const { placement } = figureOn(travel, numbered.frame - 1);
  const spots = followedSpots(travel)
    .filter(({ riderId }) => riderId === null)
    .flatMap((followed) => {
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

const CHART = { width: 26, height: 40 } as const;

/** The chart of the span, with the rung of this drawing longer than the others. */
function chartOps(
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

function numberOps(
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

const HOLE_SIDES = 32;

/** A hole with round ends, as wide and high as it is. */
function hole(x: number, y: number, width: number, height: number): PrintOp {
  const [r, straight] = [height / 2, Math.max(0, width - height) / 2];
  const points = Array.from({ length: HOLE_SIDES + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / HOLE_SIDES - Math.PI / 2;
    const side = Math.cos(angle) >= 0 ? straight : -straight;
    return [x + side + r * Math.cos(angle), y + r * Math.sin(angle)] as const;
  });
  return line(points, 0.25);
}

const REGISTER_CROSS_MM = 4;

function registerOps(
  { width, height }: Paper,
  { kind, edge, apartMm, fromEdgeMm, middleMm, outerMm }: RegisterRow,
): readonly PrintOp[] {
  if (kind === 'none') return [];
  const y = edge === 'top' ? fromEdgeMm : height - fromEdgeMm;
  return [-1, 0, 1].flatMap((side): readonly PrintOp[] => {
    const x = width / 2 + side * apartMm;
    if (kind === 'holes') return [hole(x, y, side === 0 ? middleMm : outerMm, middleMm)];
    return [
      line(
        [
          [x - REGISTER_CROSS_MM, y],
          [x + REGISTER_CROSS_MM, y],
        ],
        0.35,
      ),
      line(
        [
          [x, y - REGISTER_CROSS_MM],
          [x, y + REGISTER_CROSS_MM],
        ],
        0.35,
      ),
    ];
  });
}

function registerFault({ width }: Paper, { kind, apartMm, outerMm }: RegisterRow): string | null {
  const reach = apartMm + (kind === 'holes' ? outerMm / 2 : REGISTER_CROSS_MM);
  return kind !== 'none' && reach > width / 2
    ? `The outer register marks would lie off the paper: they can be ${Math.floor(width / 2 - (reach - apartMm))} mm from the middle one.`
    : null;
}

interface Box {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** What all drawings of a pair and those between them reach over, in the units of the first. */
function reachOf(drawings: readonly SheetDrawing[]): Box {
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

const CHART_ROOM = CHART.width + 6;

/**
 * A sheet for each in-between, in true size: both keys faint, the in-between dotted, pins and followed spots as crosses,
 * number, frame and chart.
 * @throws ShotError `out-of-range` where nothing is drawn through, or the paper is too small
 */
export function inbetweenPages(
  shot: Shot,
  paper: Paper,
  first: FirstFrameNumber = 1,
  { heightMm, register }: InbetweenOptions = { heightMm: null, register: PLAIN_REGISTER },
): Printout {
  const drawings = sheetDrawings(shot);
  if (drawings.length === 0) throw outOfRange(NOTHING_DRAWN_THROUGH);
  refuseTooMany(drawings.length);
  const fault = registerFault(paper, register);
  if (fault) throw outOfRange(fault);
  const whole = roomOn(paper);
  const room = { ...whole, x: whole.x + CHART_ROOM, width: whole.width - CHART_ROOM };
  const box = reachOf(drawings);
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const fits = Math.min(room.width / width, room.height / height);
  const { figure } = drawings[0]!.travel;
  const own = drawings[0]!.first.height;
  const asked = heightMm ?? figure.heightMm;
  const mm = asked === null ? fits : asked / own;
  if (heightMm !== null && mm > fits * (1 + 1e-9))
    throw outOfRange(
      `At ${heightMm} mm the drawing is larger than the paper: up to ${Math.floor(fits * own)} mm high there is room for it.`,
    );
  const scale = Math.min(mm, fits);
  const place: Place = {
    mm: scale,
    x: room.x + (room.width - scale * width) / 2 - scale * box.left,
    y: room.y + (room.height - scale * height) / 2 - scale * box.top,
  };
  return {
    count: drawings.length,
    pageAt: (index) => {
      const drawing = drawings[index]!;
      const name = drawing.travel.figure.name;
      return pageWith(
        paper,
        {
          title: `${shot.name}: ${name}`,
          detail: `In-between, drawing ${(scale * own).toFixed(1)} mm high`,
          page: index + 1,
          of: drawings.length,
        },
        [
          ...drawingOps(drawing, place),
          ...chartOps(shot, drawing, whole.x, whole.y + 18, first),
          ...numberOps(shot, drawing, whole.x + CHART.width, whole.y + 6, first),
          ...registerOps(paper, register),
        ],
      );
    },
  };
}

/** An in-between in the frame of its key drawing's picture: laid under that on a tablet, it fits. */
export interface InbetweenTile {
  /** A name for its file, without an ending. */
  readonly name: string;
  readonly page: PrintPage;
  /** As large as the key drawing's picture, pixels. */
  readonly width: number;
  readonly height: number;
}

/** A picture's longer side is taken for so many millimetres, so that lines and letters are as strong as on paper. */
const TILE_MM = 200;

/** The same drawings as `inbetweenPages`, each as large as the picture of the key before it. */
export function inbetweenTiles(shot: Shot, first: FirstFrameNumber = 1): readonly InbetweenTile[] {
  const drawings = sheetDrawings(shot);
  if (drawings.length === 0) throw outOfRange(NOTHING_DRAWN_THROUGH);
  const several = new Set(drawings.map(({ move }) => move)).size > 1;
  return drawings.map((drawing) => {
    const { width, height } = drawing.first;
    const mm = TILE_MM / Math.max(width, height);
    const paper = { width: mm * width, height: mm * height };
    const number = drawingNumber(drawing.numbered, shot, first).padStart(3, '0');
    return {
      name: several ? `${drawing.move.id}-${number}` : number,
      width: Math.round(width),
      height: Math.round(height),
      page: {
        ...paper,
        ops: [
          ...drawingOps(drawing, { mm, x: 0, y: 0 }),
          ...chartOps(shot, drawing, 2, 14, first),
          ...numberOps(shot, drawing, CHART.width, 8, first),
        ],
      },
    };
  });
}
