/** A value on a frame, from 1. */
export interface FrameValue {
  readonly frame: number;
  readonly value: number;
}

/**
 * As few frames as it takes for straight lines between their values to stay within a tolerance of all values: the
 * first and the last, and again and again the one that is furthest off (Ramer 1972, Douglas and Peucker 1973, by the
 * difference in value).
 * @param values one for each frame, the first on frame 1
 * @param most how many frames at most; where that is too few the lines stay as near as they come
 */
export function keysThrough(values: Float64Array, tolerance: number, most: number): FrameValue[] {
  const last = values.length - 1;
  if (last < 0) return [];
  const chosen = new Set([0, last]);
  const pieces: Piece[] = [worstWithin(values, 0, last)];
  while (chosen.size < most) {
    const piece = pieces.reduce((a, b) => (b.off > a.off ? b : a));
    if (piece.off <= tolerance) break;
    chosen.add(piece.at);
    pieces.splice(
      pieces.indexOf(piece),
      1,
      worstWithin(values, piece.from, piece.at),
      worstWithin(values, piece.at, piece.to),
    );
  }
  return [...chosen].sort((a, b) => a - b).map((i) => ({ frame: i + 1, value: values[i]! }));
}

interface Piece {
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly off: number;
}

function worstWithin(values: Float64Array, from: number, to: number): Piece {
  const slope = to > from ? (values[to]! - values[from]!) / (to - from) : 0;
  let [at, off] = [from, 0];
  for (let i = from + 1; i < to; i++) {
    const away = Math.abs(values[i]! - values[from]! - slope * (i - from));
    if (away > off) [at, off] = [i, away];
  }
  return { from, to, at, off };
}
