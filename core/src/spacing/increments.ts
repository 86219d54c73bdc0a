import { drawingOfTravel } from '../motion/figureOn';
import { evaluateMove, type Travel } from '../motion/evaluate';
import type { Move, Shot, TrackName } from '../model/schema';
import { TRACKS } from '../timing/tracks';
import { measureArc } from '../arc/arcMeasure';
import { lastMark } from '../timing/placeInTime';
import { endsPastShot, exposureFrames } from '../exposure/exposures';
import { shownExposures } from '../exposure/shownFrames';
import { roundToStep } from '../exposure/roundToStep';

export interface IncrementRow {
  /** First frame of the exposure, and for how many frames it is held. */
  readonly frame: number;
  readonly framesHeld: number;
  readonly isByHand: boolean;
  /** Distance from the start of the arc, and the same in percent of the arc's length. */
  readonly arcDistance: number;
  readonly percent: number;
  readonly x: number;
  readonly y: number;
  /** From the exposure before to this one, along the arc, signed; null for the first. */
  readonly along: number | null;
  /** The same straight across, from pivot to pivot: what a ruler measures. */
  readonly straight: number | null;
  readonly dx: number | null;
  readonly dy: number | null;
  readonly headingDeg: number;
  readonly headingChangeDeg: number | null;
  readonly tracks: Readonly<Record<TrackName, number>>;
  /** Where the pivot stands: the place, and the offset from there. */
  readonly pivotX: number;
  readonly pivotY: number;
  /** Which drawing of the figure is shown, from 1. */
  readonly drawing: number;
  /** Travelled since the first exposure, along the arc, signed. */
  readonly total: number;
  /** The increment on the ruler: between rounded totals, so that they add up; null for the first. */
  readonly ruler: number | null;
  readonly rulerTotal: number;
}

export interface SkippedRow {
  /** Its frame; where its frames were taken out, the frame that it stood before. */
  readonly frame: number;
  readonly framesHeld: number;
  readonly arcDistance: number;
  readonly isCut: boolean;
}

export interface IncrementTable {
  readonly rows: readonly IncrementRow[];
  /**
   * Round a closed arc the step from the last picture back to the first one: its frame is the one past the
   * shot, on which the loop begins anew, and it is held for no frames. Null where the move ends within the shot.
   */
  readonly closing: IncrementRow | null;
  readonly skipped: readonly SkippedRow[];
  readonly units: 'field' | 'mm';
  /** Step that `ruler` and `rulerTotal` are rounded to; null when they are not rounded. */
  readonly rulerStep: number | null;
  readonly arcLength: number;
}

const tables = new WeakMap<Move, { readonly shot: Shot; readonly table: IncrementTable }>();

export function readingUnits({ sheet, field }: Pick<Shot, 'sheet' | 'field'>): {
  readonly units: 'field' | 'mm';
  /** Of these units in one field unit. */
  readonly perUnit: number;
} {
  return { units: sheet.units, perUnit: sheet.units === 'mm' && field.unitsPerMm ? 1 / field.unitsPerMm : 1 };
}

export function skippedRows(shot: Shot, { move, arcDistance, arcLength }: Travel): SkippedRow[] {
  if (move.skips.length === 0) return [];
  const { perUnit } = readingUnits(shot);
  const planned = exposureFrames(move, shot.lengthFrames);
  const indexOf = new Map(planned.map((frame, i) => [frame, i]));
  return move.skips.flatMap(({ frame, cut }): SkippedRow[] => {
    if (cut)
      return [
        { frame, framesHeld: cut.framesHeld, arcDistance: cut.fraction * arcLength * perUnit, isCut: true },
      ];
    const i = indexOf.get(frame) ?? 0;
    if (i === 0) return [];
    const framesHeld = (planned[i + 1] ?? shot.lengthFrames + 1) - frame;
    return [{ frame, framesHeld, arcDistance: arcDistance[frame - 1]! * perUnit, isCut: false }];
  });
}

interface Stand {
  readonly frame: number;
  readonly framesHeld: number;
  readonly isByHand: boolean;
  readonly arcDistance: number;
  readonly x: number;
  readonly y: number;
  readonly headingDeg: number;
  readonly tracks: IncrementRow['tracks'];
  readonly pivotX: number;
  readonly pivotY: number;
  readonly drawing: number;
}

function rowMaker(first: Stand, arcLength: number, rulerStep: number | null) {
  const round = (value: number): number => (rulerStep === null ? value : roundToStep(value, rulerStep));
  let before: IncrementRow | null = null;
  return (stand: Stand): IncrementRow => {
    const total = stand.arcDistance - first.arcDistance;
    const rulerTotal = round(total);
    // Written out: spreading an object into each of many rows takes ten times as long.
    const row: IncrementRow = {
      frame: stand.frame,
      framesHeld: stand.framesHeld,
      isByHand: stand.isByHand,
      arcDistance: stand.arcDistance,
      percent: arcLength > 0 ? (100 * stand.arcDistance) / arcLength : 0,
      x: stand.x,
      y: stand.y,
      along: before && stand.arcDistance - before.arcDistance,
      straight: before && Math.hypot(stand.pivotX - before.pivotX, stand.pivotY - before.pivotY),
      dx: before && stand.pivotX - before.pivotX,
      dy: before && stand.pivotY - before.pivotY,
      headingDeg: stand.headingDeg,
      headingChangeDeg: before && stand.headingDeg - before.headingDeg,
      tracks: stand.tracks,
      pivotX: stand.pivotX,
      pivotY: stand.pivotY,
      drawing: stand.drawing,
      total,
      // Rounded totals are clean, their difference need not be: 0.3 − 0.1 is not 0.2 in doubles.
      ruler: before && (rulerStep === null ? total - before.total : round(rulerTotal - before.rulerTotal)),
      rulerTotal,
    };
    before = row;
    return row;
  };
}

function closingStand(shot: Shot, travel: Travel, first: Stand, perUnit: number): Stand | null {
  const { move, arc, arcLength } = travel;
  if (!arc.closed || !endsPastShot(move, shot)) return null;
  const arcDistance = lastMark(move).fraction * arcLength * perUnit;
  const laps = arcLength > 0 ? Math.round((arcDistance - first.arcDistance) / (arcLength * perUnit)) : 0;
  const turn = move.turnsWithArc ? laps * measureArc(arc).turnPerLapDeg : 0;
  return {
    ...first,
    frame: shot.lengthFrames + 1,
    framesHeld: 0,
    isByHand: false,
    arcDistance,
    headingDeg: first.headingDeg + turn,
  };
}

function valuesAt({ tracks }: Travel, i: number, perUnit: number): IncrementRow['tracks'] {
  const values = {} as Record<TrackName, number>;
  for (const { name, isLength } of TRACKS) values[name] = tracks[name][i]! * (isLength ? perUnit : 1);
  return values;
}

function build(shot: Shot, move: Move): IncrementTable {
  const travel = evaluateMove(shot, move);
  const { rulerStep } = shot.sheet;
  const { units, perUnit } = readingUnits(shot);
  const byHand = new Set(move.overrides.map(({ frame }) => frame));
  const stands = shownExposures(move, shot).map(({ frame, framesHeld }): Stand => {
    const i = frame - 1;
    return {
      frame,
      framesHeld,
      isByHand: byHand.has(frame),
      arcDistance: travel.arcDistance[i]! * perUnit,
      x: travel.x[i]! * perUnit,
      y: travel.y[i]! * perUnit,
      headingDeg: travel.heading[i]!,
      tracks: valuesAt(travel, i, perUnit),
      pivotX: travel.pivotX[i]! * perUnit,
      pivotY: travel.pivotY[i]! * perUnit,
      drawing: drawingOfTravel(travel, frame),
    };
  });
  const arcLength = travel.arcLength * perUnit;
  const rowOf = rowMaker(stands[0]!, arcLength, rulerStep);
  const rows = stands.map(rowOf);
  const closing = closingStand(shot, travel, stands[0]!, perUnit);
  return {
    rows,
    closing: closing && rowOf(closing),
    skipped: skippedRows(shot, travel),
    units,
    rulerStep,
    arcLength,
  };
}

/** The increments of a move, one row for each exposure. Remembered until the shot changes. */
export function incrementTable(shot: Shot, move: Move): IncrementTable {
  const known = tables.get(move);
  if (known && known.shot === shot) return known.table;
  const table = build(shot, move);
  tables.set(move, { shot, table });
  return table;
}

/** Increments that differ by less than this share of the arc are equal: the first of them is named. */
const EQUAL = 1e-9;

/** The largest and the smallest increment along the arc, holds left out, with the frames they arrive on. */
export function extremeIncrements(table: IncrementTable) {
  const noise = table.arcLength * EQUAL;
  const rows = table.closing ? [...table.rows, table.closing] : table.rows;
  const moving = rows.filter((row) => row.along !== null && Math.abs(row.along) > noise);
  const pick = (isBetter: (a: number, b: number) => boolean): IncrementRow | undefined =>
    moving.reduce<IncrementRow | undefined>(
      (best, row) => (!best || isBetter(Math.abs(row.along!), Math.abs(best.along!)) ? row : best),
      undefined,
    );
  return { largest: pick((a, b) => a > b + noise), smallest: pick((a, b) => a < b - noise) };
}

/** The row whose position is seen on frame f: the last exposure not after it, or the first one. */
export function seenRow(table: IncrementTable, f: number): IncrementRow {
  let low = 0;
  let high = table.rows.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (table.rows[middle]!.frame <= f) low = middle;
    else high = middle - 1;
  }
  return table.rows[low]!;
}
