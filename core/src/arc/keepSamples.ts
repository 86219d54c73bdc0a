import type { Vector } from './vector';

function distanceToPiece(p: Vector, a: Vector, b: Vector): number {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const squared = dx * dx + dy * dy;
  const along = squared > 0 ? ((p.x - a.x) * dx + (p.y - a.y) * dy) / squared : 0;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

/**
 * Which samples to keep so that no dropped one lies further than the allowed deviation from the
 * straight pieces between those kept (Ramer 1972; Douglas & Peucker 1973).
 * @param allowedDeviation field units, ≥ 0
 * @returns indices, increasing; the first and the last sample are always kept
 */
export function keepSamples(samples: readonly Vector[], allowedDeviation: number): number[] {
  if (samples.length < 3) return samples.map((_, i) => i);
  const kept = new Set([0, samples.length - 1]);
  const ranges: [number, number][] = [[0, samples.length - 1]];
  for (let range = ranges.pop(); range; range = ranges.pop()) {
    const [from, until] = range;
    let worst = allowedDeviation;
    let at = -1;
    for (let i = from + 1; i < until; i++) {
      const off = distanceToPiece(samples[i]!, samples[from]!, samples[until]!);
      if (off > worst) {
        worst = off;
        at = i;
      }
    }
    if (at < 0) continue;
    kept.add(at);
    ranges.push([from, at], [at, until]);
  }
  return [...kept].sort((a, b) => a - b);
}
