import type { Vector } from '../arc/vector';

/** A turn about the origin and a change of size: z = ratio · e^(i·radians), radians from −π to π. */
export interface Similarity {
  readonly radians: number;
  /** > 0 */
  readonly ratio: number;
}

export const NO_CHANGE: Similarity = { radians: 0, ratio: 1 };

/** Spots that all lie on the pivot say nothing of a turn: less than this, squared, in the artwork's units. */
const NOTHING = 1e-12;

/**
 * The similarity about the origin that takes spots nearest to others, by least squares: z = Σ ā·b / Σ |a|² with spots as
 * complex numbers (a Procrustes fit without a shift).
 * @param from seen from the pivot
 * @param to as many, in the same order
 */
export function bestSimilarity(from: readonly Vector[], to: readonly Vector[]): Similarity {
  let [real, imaginary, square] = [0, 0, 0];
  from.forEach((a, i) => {
    const b = to[i]!;
    real += a.x * b.x + a.y * b.y;
    imaginary += a.x * b.y - a.y * b.x;
    square += a.x * a.x + a.y * a.y;
  });
  const ratio = Math.hypot(real, imaginary) / square;
  return square > NOTHING && ratio > NOTHING ? { radians: Math.atan2(imaginary, real), ratio } : NO_CHANGE;
}

/** A spot turned and sized about the origin: `share` of the way, 1 for the whole of it, −1 to take it out. */
export function turned({ radians, ratio }: Similarity, { x, y }: Vector, share: number): Vector {
  const size = ratio ** share;
  const [cos, sin] = [size * Math.cos(radians * share), size * Math.sin(radians * share)];
  return { x: cos * x - sin * y, y: sin * x + cos * y };
}

/**
 * Where spots are between two drawings: the similarity is taken out of the second drawing, the rest is mixed straight, and
 * that share of the similarity is put back. What only turns does not shrink.
 * @param from spots of the first drawing, seen from the pivot
 * @param to the same on the second
 * @param share 0 is the first drawing, 1 the second, both exactly
 */
export function betweenSpots(from: readonly Vector[], to: readonly Vector[], share: number): Vector[] {
  if (share === 0) return [...from];
  if (share === 1) return [...to];
  const whole = bestSimilarity(from, to);
  return from.map((a, i) => {
    const b = turned(whole, to[i]!, -1);
    const mixed = { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
    return turned(whole, mixed, share);
  });
}
