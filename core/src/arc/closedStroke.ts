import type { PointShape } from './smoothing';
import { distance, scale, type Vector } from './vector';

/** A stroke this many times as long as its ends may be apart is a round one when they meet. */
const ROUND = 6;
/** Where both ends meet at a sharper turn than this the arc has a corner there, degrees. */
const CORNER_DEG = 30;

/** Whether a stroke ends where it began, having gone round. @param reach how near is there, field units */
export function closesStroke(samples: readonly Vector[], reach: number): boolean {
  const [first, last] = [samples[0], samples.at(-1)];
  if (!first || !last || distance(first, last) > reach) return false;
  const length = samples.reduce((sum, at, i) => (i === 0 ? 0 : sum + distance(at, samples[i - 1]!)), 0);
  return length >= ROUND * reach;
}

/** The samples of a round stroke, so that it ends exactly where it began: what is missing is spread over all of it. */
export function withEndsMet(samples: readonly Vector[]): readonly Vector[] {
  const [first, last] = [samples[0]!, samples.at(-1)!];
  const [dx, dy] = [first.x - last.x, first.y - last.y];
  return samples.map(({ x, y }, i) => {
    const share = i / (samples.length - 1);
    return { x: x + dx * share, y: y + dy * share };
  });
}

const degreesBetween = (a: Vector, b: Vector): number => {
  const lengths = Math.hypot(a.x, a.y) * Math.hypot(b.x, b.y);
  if (lengths === 0) return 0;
  return (Math.acos(Math.min(1, Math.max(-1, (a.x * b.x + a.y * b.y) / lengths))) * 180) / Math.PI;
};

/** The points of a closed arc from those of a stroke that ends where it began: both ends become one point. */
export function closedPoints(points: readonly PointShape[]): readonly PointShape[] {
  if (points.length < 3) return points;
  const [first, last] = [points[0]!, points.at(-1)!];
  const turn = degreesBetween(scale(last.in, -1), first.out);
  if (turn > CORNER_DEG) return [{ ...first, in: last.in, kind: 'corner' }, ...points.slice(1, -1)];
  // Both handles lie on one line, as long as they were.
  const [inLength, outLength] = [Math.hypot(last.in.x, last.in.y), Math.hypot(first.out.x, first.out.y)];
  const along = {
    x: first.out.x / (outLength || 1) - last.in.x / (inLength || 1),
    y: first.out.y / (outLength || 1) - last.in.y / (inLength || 1),
  };
  const size = Math.hypot(along.x, along.y) || 1;
  return [
    {
      ...first,
      in: scale(along, -inLength / size),
      out: scale(along, outLength / size),
      kind: 'smooth',
    },
    ...points.slice(1, -1),
  ];
}
