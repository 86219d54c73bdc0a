import { outOfRange } from '../model/errors';
import { distance, type Vector } from './vector';

/**
 * A projective map of the plane, row by row: x' = (h₀x + h₁y + h₂) / (h₆x + h₇y + h₈), and y' with h₃, h₄, h₅ above the
 * same divisor. Straight lines stay straight.
 */
// prettier-ignore
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

export type FourSpots = readonly [Vector, Vector, Vector, Vector];

export function applyHomography(h: Homography, { x, y }: Vector): Vector {
  const w = h[6] * x + h[7] * y + h[8];
  return { x: (h[0] * x + h[1] * y + h[2]) / w, y: (h[3] * x + h[4] * y + h[5]) / w };
}

/**
 * How long a small step in some direction is after the map, for a step of 1 before it.
 * @param directionDeg clockwise as seen
 */
export function stretchAt(h: Homography, { x, y }: Vector, directionDeg: number): number {
  const angle = (directionDeg * Math.PI) / 180;
  const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
  const w = h[6] * x + h[7] * y + h[8];
  const dw = h[6] * dx + h[7] * dy;
  const mapped = applyHomography(h, { x, y });
  return Math.hypot((h[0] * dx + h[1] * dy - mapped.x * dw) / w, (h[3] * dx + h[4] * dy - mapped.y * dw) / w);
}

const product = (a: Homography, b: Homography): Homography =>
  Array.from({ length: 9 }, (_, i) => {
    const [row, column] = [3 * Math.floor(i / 3), i % 3];
    return a[row]! * b[column]! + a[row + 1]! * b[column + 3]! + a[row + 2]! * b[column + 6]!;
  }) as unknown as Homography;

/** The map back. */
export function inverseHomography([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  const [A, B, C] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const det = a * A + b * B + c * C;
  const adjugate = [
    A,
    c * h - b * i,
    b * f - c * e,
    B,
    a * i - c * g,
    c * d - a * f,
    C,
    b * g - a * h,
    a * e - b * d,
  ];
  return adjugate.map((value) => value / det) as unknown as Homography;
}

/** Solves a square system of equations by elimination with pivoting by column. @param rows each with its right side last */
function solved(rows: number[][]): number[] {
  const size = rows.length;
  for (let k = 0; k < size; k++) {
    const best = rows
      .slice(k)
      .reduce((at, row, i) => (Math.abs(row[k]!) > Math.abs(rows[at]![k]!) ? k + i : at), k);
    [rows[k], rows[best]] = [rows[best]!, rows[k]!];
    for (let i = k + 1; i < size; i++) {
      const share = rows[i]![k]! / rows[k]![k]!;
      for (let j = k; j <= size; j++) rows[i]![j]! -= share * rows[k]![j]!;
    }
  }
  const found = new Array<number>(size).fill(0);
  for (let k = size - 1; k >= 0; k--) {
    const rest = rows[k]!.slice(k + 1, size).reduce((sum, value, j) => sum + value * found[k + 1 + j]!, 0);
    found[k] = (rows[k]![size]! - rest) / rows[k]![k]!;
  }
  return found;
}

/** Moves the middle of four spots to zero and their mean distance from it to √2, so that the equations are even. */
function normalising(spots: FourSpots): Homography {
  const middle = {
    x: spots.reduce((sum, { x }) => sum + x, 0) / 4,
    y: spots.reduce((sum, { y }) => sum + y, 0) / 4,
  };
  const mean = spots.reduce((sum, spot) => sum + distance(spot, middle), 0) / 4;
  const k = Math.SQRT2 / mean;
  return [k, 0, -k * middle.x, 0, k, -k * middle.y, 0, 0, 1];
}

/** A corner flatter than this share of its sides lies on the line of its neighbours. */
const FLAT = 0.01;

/** Why four spots are no corners of a rectangle that is seen from somewhere, as a sentence; null where they are. */
export function cornersFault(spots: FourSpots): string | null {
  const turns = spots.map((spot, i) => {
    const [before, after] = [spots[(i + 3) % 4]!, spots[(i + 1) % 4]!];
    const cross = (spot.x - before.x) * (after.y - spot.y) - (spot.y - before.y) * (after.x - spot.x);
    return cross / (distance(before, spot) * distance(spot, after) || 1);
  });
  if (turns.some((turn) => Math.abs(turn) < FLAT))
    return 'Three of the four corners lie on one line: tap the corners of the sheet, each at its place.';
  if (turns.some((turn) => turn < 0))
    return 'These corners are not in order: tap them one after the other round the sheet, clockwise from the upper left.';
  return null;
}

/**
 * The map that takes four spots to four others: direct linear transformation on normalised spots (Hartley 1997).
 * @param from corners of a rectangle as it is seen, clockwise
 * @throws ShotError `out-of-range` where three of them lie on one line, or they are out of order
 */
export function homographyOf(from: FourSpots, to: FourSpots): Homography {
  const fault = cornersFault(from) ?? cornersFault(to);
  if (fault) throw outOfRange(fault);
  const [before, after] = [normalising(from), normalising(to)];
  const rows = from.flatMap((spot, i) => {
    const { x, y } = applyHomography(before, spot);
    const { x: u, y: v } = applyHomography(after, to[i]!);
    return [
      [x, y, 1, 0, 0, 0, -u * x, -u * y, u],
      [0, 0, 0, x, y, 1, -v * x, -v * y, v],
    ];
  });
  const even = [...solved(rows), 1] as unknown as Homography;
  return product(inverseHomography(after), product(even, before));
}
