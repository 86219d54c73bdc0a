import type { Travel } from './evaluate';

export interface FrameRange {
  readonly from: number;
  readonly until: number;
}

/** A stretch of an arc, distances from its start in field units; laps of a closed arc go on. */
export interface ArcRange {
  readonly from: number;
  readonly to: number;
}

/**
 * The frames on which a move is within a stretch of its arc: one run for each time that it goes through.
 * On a closed arc any lap counts.
 */
export function framesOnArcRange(
  { arcDistance, arc, arcLength }: Travel,
  { from, to }: ArcRange,
): FrameRange[] {
  const [least, most] = [Math.min(from, to), Math.max(from, to)];
  const slack = arcLength * 1e-9;
  const isWithin = (s: number): boolean => {
    if (!arc.closed || arcLength === 0) return s >= least - slack && s <= most + slack;
    const onLap = s + Math.ceil((least - slack - s) / arcLength) * arcLength;
    return onLap <= most + slack;
  };
  const runs: FrameRange[] = [];
  arcDistance.forEach((s, i) => {
    if (!isWithin(s)) return;
    const last = runs[runs.length - 1];
    if (last?.until === i) runs[runs.length - 1] = { from: last.from, until: i + 1 };
    else runs.push({ from: i + 1, until: i + 1 });
  });
  return runs;
}

/** Those frames of a run that a shot has: what lies before its first or after its last frame counts as that one. */
export function frameRangeWithin({ from, until }: FrameRange, lengthFrames: number): FrameRange {
  const inShot = (frame: number): number => Math.min(lengthFrames, Math.max(1, frame));
  return { from: inShot(from), until: inShot(until) };
}

/** The stretch of the arc that a move covers on some frames. */
export function arcRangeOn({ arcDistance }: Travel, run: FrameRange): ArcRange {
  const { from, until } = frameRangeWithin(run, arcDistance.length);
  const covered = arcDistance.subarray(from - 1, until);
  return { from: covered.reduce((a, b) => Math.min(a, b)), to: covered.reduce((a, b) => Math.max(a, b)) };
}

/**
 * The frame on which a move is nearest to a distance along its arc; of frames at one distance the one nearest in time.
 * @param s distance from the start of the arc, field units
 * @param from the frame that time is counted from
 */
export function frameNearestTo({ arcDistance, arcLength }: Travel, s: number, from: number): number {
  let best = from;
  let least = Infinity;
  for (let i = 0; i < arcDistance.length; i++) {
    const away = Math.abs(arcDistance[i]! - s) + Math.abs(i + 1 - from) * 1e-9 * (1 + arcLength);
    if (away < least) {
      least = away;
      best = i + 1;
    }
  }
  return best;
}
