import { outOfRange } from '../model/errors';
import { type FirstFrameNumber, frameNumber } from '../model/frameNumbers';
import type { Move, Shot } from '../model/schema';
import { evaluateMove } from '../motion/evaluate';
import { csvText } from './csvTable';

export const NO_SCALE = 'A slider moves by millimetres: set the scale of the field first.';

export interface SliderRow {
  readonly frame: number;
  /** When it has to be there, from the first frame on. */
  readonly timeMs: number;
  readonly positionMm: number;
  /** From the moment before to this one; 0 on the first. */
  readonly speedMmPerS: number;
  /** Change of speed since the moment before, over the time of a frame. */
  readonly accelerationMmPerS2: number;
}

/** What a slider can do; nothing is asked where a limit is not known. */
export interface SliderLimits {
  readonly mostSpeed?: number;
  readonly mostAcceleration?: number;
}

export interface SliderFault {
  readonly frame: number;
  readonly of: 'speed' | 'acceleration';
  readonly needed: number;
  readonly most: number;
}

/**
 * A move for a motor that runs along a straight rail: where it has to be on each frame of the plan, whatever is held.
 * @throws ShotError `out-of-range` where the field has no scale
 */
export function sliderRows(shot: Shot, move: Move): readonly SliderRow[] {
  const { unitsPerMm } = shot.field;
  if (unitsPerMm === null) throw outOfRange(NO_SCALE);
  const { arcDistance } = evaluateMove(shot, move);
  const first = move.marks[0]!.frame;
  const last = Math.min(shot.lengthFrames, move.marks[move.marks.length - 1]!.frame);
  const seconds = 1 / shot.rate;
  const rows: SliderRow[] = [];
  for (let frame = first; frame <= last; frame++) {
    const before = rows[rows.length - 1];
    const positionMm = (arcDistance[frame - 1]! - arcDistance[first - 1]!) / unitsPerMm;
    const speedMmPerS = before ? (positionMm - before.positionMm) / seconds : 0;
    rows.push({
      frame,
      timeMs: (frame - first) * seconds * 1000,
      positionMm,
      speedMmPerS,
      accelerationMmPerS2: before ? (speedMmPerS - before.speedMmPerS) / seconds : 0,
    });
  }
  return rows;
}

function stopOf(rows: readonly SliderRow[]): { readonly frame: number; readonly braking: number } | null {
  const [last, before] = [rows[rows.length - 1], rows[rows.length - 2]];
  if (!last || !before) return null;
  return { frame: last.frame, braking: Math.abs(last.speedMmPerS) / ((last.timeMs - before.timeMs) / 1000) };
}

/** Limits are kept to within this share: the last digit is no fault. */
const SAME = 1e-9;

/** Where a move asks for more than a slider can do, in order of time: it starts from rest, and stops at its end. */
export function sliderFaults(
  rows: readonly SliderRow[],
  { mostSpeed = Infinity, mostAcceleration = Infinity }: SliderLimits,
): readonly SliderFault[] {
  const onTheWay = rows.flatMap(({ frame, speedMmPerS, accelerationMmPerS2 }): SliderFault[] => {
    const faults: SliderFault[] = [];
    const [speed, acceleration] = [Math.abs(speedMmPerS), Math.abs(accelerationMmPerS2)];
    if (speed > mostSpeed * (1 + SAME)) faults.push({ frame, of: 'speed', needed: speed, most: mostSpeed });
    if (acceleration > mostAcceleration * (1 + SAME))
      faults.push({ frame, of: 'acceleration', needed: acceleration, most: mostAcceleration });
    return faults;
  });
  const stop = stopOf(rows);
  return stop && stop.braking > mostAcceleration * (1 + SAME)
    ? [...onTheWay, { frame: stop.frame, of: 'acceleration', needed: stop.braking, most: mostAcceleration }]
    : onTheWay;
}

export function sliderNeeds(shot: Shot, move: Move): string {
  const rows = sliderRows(shot, move);
  const most = (of: (row: SliderRow) => number): string =>
    rows.reduce((peak, row) => Math.max(peak, Math.abs(of(row))), 0).toFixed(1);
  const figure = shot.figures.find(({ id }) => id === move.figureId)!.name;
  const braking = stopOf(rows)?.braking ?? 0;
  const acceleration = most(({ accelerationMmPerS2 }) => Math.max(Math.abs(accelerationMmPerS2), braking));
  return `${figure} needs up to ${most(({ speedMmPerS }) => speedMmPerS)} mm/s and ${acceleration} mm/s².`;
}

export function writeSliderCsv(shot: Shot, move: Move, first: FirstFrameNumber = 1): string {
  const data = sliderRows(shot, move).map(({ frame, timeMs, positionMm, speedMmPerS }) => [
    String(frameNumber(frame, first)),
    timeMs.toFixed(3),
    (positionMm + 0).toFixed(4),
    (speedMmPerS + 0).toFixed(4),
  ]);
  return csvText(['frame', 'time_ms', 'position_mm', 'speed_mm_s'], data);
}
