import { shownExposures } from '../exposure/shownFrames';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { partsOn } from '../motion/figureOn';
import { scaleOn } from '../motion/scale';
import { readingUnits } from '../spacing/increments';
import { harmless, written } from './incrementsCsv';
import { csvText } from './csvTable';

export interface PartRow {
  readonly move: string;
  readonly figure: string;
  readonly part: string;
  readonly frame: number;
  readonly x: number;
  readonly y: number;
  /** Since the exposure before; null on the first. */
  readonly straight: number | null;
  readonly headingDeg: number;
  readonly sizePercent: number;
  readonly opacityPercent: number;
  readonly drawing: number;
}

/** The parts of all figures that have some, a row for each part of each exposure; hidden ones are left out. */
export function partRows(shot: Shot, first: FirstFrameNumber = 1): readonly PartRow[] {
  const { perUnit } = readingUnits(shot);
  return shot.moves
    .filter(({ riders }) => riders.length > 0)
    .flatMap((move) => {
      const travel = evaluateMove(shot, move);
      const last = new Map<string | null, { readonly x: number; readonly y: number }>();
      return shownExposures(move, shot).flatMap(({ frame }) =>
        partsOn(travel, frame - 1).map(({ rider, pivotX, pivotY, headingDeg, opacity, drawing }): PartRow => {
          const [x, y] = [pivotX * perUnit, pivotY * perUnit];
          const before = last.get(rider?.id ?? null);
          last.set(rider?.id ?? null, { x, y });
          return {
            move: move.id,
            figure: travel.figure.name,
            part: rider?.name ?? travel.figure.name,
            frame: frameNumber(frame, first),
            x,
            y,
            straight: before ? Math.hypot(x - before.x, y - before.y) : null,
            headingDeg,
            sizePercent: scaleOn(travel, frame - 1).across * (rider?.sizePercent ?? 100),
            opacityPercent: opacity * 100,
            drawing,
          };
        }),
      );
    });
}

/** Columns of the parts file, in order. `docs/file-format.md` says what each holds. */
export const PART_COLUMNS = [
  'move',
  'figure',
  'part',
  'frame',
  'x',
  'y',
  'straight',
  'heading_deg',
  'size_percent',
  'opacity_percent',
  'drawing',
  'units',
] as const;

export function writePartsCsv(shot: Shot, first: FirstFrameNumber = 1): string {
  const { units } = readingUnits(shot);
  const data = partRows(shot, first).map((row) => [
    row.move,
    harmless(row.figure),
    harmless(row.part),
    String(row.frame),
    ...[row.x, row.y, row.straight, row.headingDeg, row.sizePercent, row.opacityPercent, row.drawing].map(
      written,
    ),
    units,
  ]);
  return csvText(PART_COLUMNS, data);
}
