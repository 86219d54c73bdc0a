import type { TimedMark } from './placeInTime';

const rate = (from: TimedMark, to: TimedMark): number =>
  (to.fraction - from.fraction) / (to.frame - from.frame);

/**
 * Speed at a mark that a move flows through, share of the arc per frame: 0 at a stop, and at a pass the
 * weighted harmonic mean of the speeds on both sides, so that nothing overshoots (Fritsch and Butland, "A
 * method for constructing local monotone piecewise cubic interpolants", SIAM J. Sci. Stat. Comput. 1984).
 */
function speedAt(marks: readonly TimedMark[], i: number): number {
  const mark = marks[i]!;
  if (mark.kind === 'stop') return 0;
  const [before, after] = [marks[i - 1], marks[i + 1]];
  if (!before || !after) return rate(before ?? mark, after ?? mark);
  const [arriving, leaving] = [rate(before, mark), rate(mark, after)];
  if (arriving * leaving <= 0) return 0;
  const [h1, h2] = [mark.frame - before.frame, after.frame - mark.frame];
  return (3 * (h1 + h2)) / ((2 * h2 + h1) / arriving + (h2 + 2 * h1) / leaving);
}

/**
 * Where a move is that flows from a mark to the next, as a share of its arc: a cubic with the speeds at
 * both marks.
 * @param i which mark the span starts at
 * @param frame real, within the span
 */
export function flowFraction(marks: readonly TimedMark[], i: number, frame: number): number {
  const [from, to] = [marks[i]!, marks[i + 1]!];
  const frames = to.frame - from.frame;
  const u = (frame - from.frame) / frames;
  const [m0, m1] = [speedAt(marks, i) * frames, speedAt(marks, i + 1) * frames];
  const distance = to.fraction - from.fraction;
  return from.fraction + distance * u * u * (3 - 2 * u) + m0 * u * (1 - u) * (1 - u) - m1 * u * u * (1 - u);
}
