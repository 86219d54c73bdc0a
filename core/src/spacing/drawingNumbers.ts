import { type DrawnThrough, drawnThroughOn, drawnThroughSpans, shareThrough } from '../exposure/drawnThrough';
import { shownExposures } from '../exposure/shownFrames';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';

/** What a drawing is in its span: one of the two that it leads from and to, the first in-between to be drawn, or another. */
export type DrawingRole = 'key' | 'breakdown' | 'between';

/** A drawing to be made for a move that is drawn through. */
export interface NumberedDrawing {
  /** The first frame on which it is seen. */
  readonly frame: number;
  /** Counted from 1 through the move. */
  readonly order: number;
  readonly role: DrawingRole;
  /** How far the second drawing of its span is reached, 0 to 1. */
  readonly share: number;
  /** The span that it lies in, or begins; null for a drawing that ends the last one. */
  readonly through: DrawnThrough | null;
}

const BREAKDOWN = /^breakdown$/i;

function breakdownOf(
  drawings: readonly { readonly frame: number; readonly share: number }[],
  { marks }: Pick<Move, 'marks'>,
): number | null {
  const named = marks.find(
    ({ frame, label }) => BREAKDOWN.test(label) && drawings.some((one) => one.frame === frame),
  );
  if (named) return named.frame;
  return drawings.reduce<{ readonly frame: number | null; readonly away: number }>(
    (best, { frame, share }) => {
      const away = Math.abs(share - 0.5);
      return away < best.away - 1e-9 ? { frame, away } : best;
    },
    { frame: null, away: Infinity },
  ).frame;
}

const known = new WeakMap<Move, { readonly shot: Shot; readonly numbered: readonly NumberedDrawing[] }>();

/**
 * The drawings of a move that is drawn through, in order of time: keys, in-betweens, and of those of each span the
 * breakdown: the one that a mark is called so on, or that lies nearest half-way.
 */
export function numberedDrawings(shot: Shot, move: Move): readonly NumberedDrawing[] {
  const found = known.get(move);
  if (found?.shot === shot) return found.numbered;
  const spans = drawnThroughSpans(move);
  const exposures = spans.length > 0 ? shownExposures(move, shot).map(({ frame }) => frame) : [];
  const betweens = spans.map((through) =>
    exposures
      .filter((frame) => frame > through.from.frame && frame < through.to.frame)
      .map((frame) => ({ frame, share: shareThrough(move, through, frame) })),
  );
  const breakdowns = new Set(betweens.map((drawings) => breakdownOf(drawings, move)));
  const firstFrom = (frame: number): number | undefined => exposures.find((on) => on >= frame);
  const keys = new Map<number, DrawnThrough | null>();
  for (const through of spans) {
    const [begins, ends] = [firstFrom(through.from.frame), firstFrom(through.to.frame)];
    if (begins !== undefined && begins < through.to.frame) keys.set(begins, through);
    if (ends !== undefined) keys.set(ends, keys.get(ends) ?? null);
  }
  const drawn = exposures.flatMap((frame): Omit<NumberedDrawing, 'order'>[] => {
    const through = keys.get(frame);
    if (through !== undefined) return [{ frame, role: 'key', share: 0, through }];
    const on = drawnThroughOn(move, frame);
    if (!on) return [];
    const role = breakdowns.has(frame) ? 'breakdown' : 'between';
    return [{ frame, role, share: shareThrough(move, on, frame), through: on }];
  });
  const numbered = drawn.map((one, i): NumberedDrawing => ({ ...one, order: i + 1 }));
  known.set(move, { shot, numbered });
  return numbered;
}

/**
 * The drawing that a frame of a chart is about: its own, or for a key that falls within an exposure the one that first
 * shows it.
 */
export const drawingAt = (drawings: readonly NumberedDrawing[], frame: number): NumberedDrawing | undefined =>
  drawings.find((one) => one.frame === frame) ??
  drawings.find((one) => one.role === 'key' && one.frame > frame);

/** The number of a drawing as it stands on the paper: by its frame, or in order. */
export const drawingNumber = (
  { frame, order }: Pick<NumberedDrawing, 'frame' | 'order'>,
  { sheet }: Pick<Shot, 'sheet'>,
  first: FirstFrameNumber = 1,
): string => String(sheet.numbering === 'frame' ? frameNumber(frame, first) : order);

/** The same in a line of text: a key in a ring, a breakdown underlined. */
export function writtenNumber(role: DrawingRole, number: string): string {
  switch (role) {
    case 'key':
      return `(${number})`;
    case 'breakdown':
      return `_${number}_`;
    case 'between':
      return number;
  }
}

/** Parts of a chart that are said as such, not in percent: halves, thirds, and halves of these. */
const FRACTIONS = [2, 3, 4, 6, 8, 9, 12, 16, 27, 32, 64, 81];
const SAME_SHARE = 1e-6;

/** A share as a fraction in halves or thirds, where it is one; null elsewhere. */
export function fractionName(share: number): string | null {
  for (const parts of FRACTIONS) {
    const over = Math.round(share * parts);
    if (over > 0 && over < parts && Math.abs(share - over / parts) < SAME_SHARE) return `${over}/${parts}`;
  }
  return null;
}
