import type { IncrementTable } from './increments';

export interface PaceRow {
  readonly frame: number;
  readonly pace: number;
}

/** The pace of a move over the shot: each step over the frames that it takes. Nothing before its second picture. */
export const paceRows = ({ rows }: IncrementTable): readonly PaceRow[] =>
  rows.slice(1).map(({ frame, along }, i) => ({
    frame,
    pace: Math.abs(along!) / (frame - rows[i]!.frame),
  }));

export interface SizeClass {
  /** Above the first, up to the second; the first class has 0 in it. */
  readonly from: number;
  readonly to: number;
  readonly count: number;
}

/** Increments smaller than this share of the arc are none. */
const NONE = 1e-9;

/**
 * How many increments there are of each size, in classes of equal width from 0 to the largest. Holds are left out.
 * @param classes how many, at least 1
 */
export function incrementsBySize({ rows, arcLength }: IncrementTable, classes: number): readonly SizeClass[] {
  const sizes = rows.map(({ along }) => Math.abs(along ?? 0)).filter((size) => size > NONE * arcLength);
  const largest = sizes.reduce((most, size) => Math.max(most, size), 0);
  if (largest === 0) return [];
  const width = largest / classes;
  const counts = new Array<number>(classes).fill(0);
  for (const size of sizes) counts[Math.min(classes - 1, Math.max(0, Math.ceil(size / width - 1e-9) - 1))]!++;
  return counts.map((count, i) => ({ from: i * width, to: (i + 1) * width, count }));
}
