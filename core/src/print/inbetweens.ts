import { outOfRange } from '../model/errors';
import type { FirstFrameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { drawingNumber } from '../spacing/drawingNumbers';
import {
  CHART,
  chartOps,
  drawingOps,
  numberOps,
  type Place,
  reachOf,
  type SheetDrawing,
  sheetDrawings,
} from './inbetweenDrawing';
import { pageWith, type Paper, type PrintPage, roomOn } from './paper';
import type { Printout } from './printout';
import { PLAIN_REGISTER, registerFault, registerOps, type RegisterRow } from './registerRow';
import { refuseTooMany } from './tooMany';

export interface InbetweenOptions {
  /** How high the first drawing is on paper, millimetres; null for its real height, or what the page has room for. */
  readonly heightMm: number | null;
  readonly register: RegisterRow;
}

const NOTHING_DRAWN_THROUGH =
  'Nothing is drawn through in this shot: choose two drawings in Figure, Drawings, and tap Draw through.';

/** Whether a shot has sheets to be drawn on. */
export const hasInbetweens = (shot: Shot): boolean => sheetDrawings(shot).length > 0;

const CHART_ROOM = CHART.width + 6;

/** Of the first drawing of its pair, in the units that `Place` is in. */
const heightOf = ({ first }: SheetDrawing): number => first.height;

/** In the middle of the room, in the size that is asked for, else in the figure's real one, else as large as it goes. */
function placeIn(
  room: ReturnType<typeof roomOn>,
  drawings: readonly SheetDrawing[],
  heightMm: number | null,
): Place {
  const box = reachOf(drawings);
  const [width, height] = [box.right - box.left, box.bottom - box.top];
  const fits = Math.min(room.width / width, room.height / height);
  const own = heightOf(drawings[0]!);
  const asked = heightMm ?? drawings[0]!.travel.figure.heightMm;
  const mm = asked === null ? fits : asked / own;
  if (heightMm !== null && mm > fits * (1 + 1e-9))
    throw outOfRange(
      `At ${heightMm} mm the drawing is larger than the paper: up to ${Math.floor(fits * own)} mm high there is room for it.`,
    );
  const scale = Math.min(mm, fits);
  return {
    mm: scale,
    x: room.x + (room.width - scale * width) / 2 - scale * box.left,
    y: room.y + (room.height - scale * height) / 2 - scale * box.top,
  };
}

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
  // Each figure has its own size on paper; its drawings lie on top of each other.
  const places = new Map<Move, Place>();
  for (const { move } of drawings)
    if (!places.has(move))
      places.set(
        move,
        placeIn(
          room,
          drawings.filter((drawing) => drawing.move === move),
          heightMm,
        ),
      );
  return {
    count: drawings.length,
    pageAt: (index) => {
      const drawing = drawings[index]!;
      const name = drawing.travel.figure.name;
      const place = places.get(drawing.move)!;
      return pageWith(
        paper,
        {
          title: `${shot.name}: ${name}`,
          detail: `In-between, drawing ${(place.mm * heightOf(drawing)).toFixed(1)} mm high`,
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
