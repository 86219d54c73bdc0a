import type { Arc } from '../model/schema';
import { curvatureAtDistance, measureArc, pointAtDistance } from './arcMeasure';

export interface DirectionArrow {
  readonly x: number;
  readonly y: number;
  readonly headingDeg: number;
}

const MAX_ARROWS = 400;

/**
 * Arrows along an arc at even distances, the first half a gap from its start.
 * @param gap field units, > 0; made wider where there would be more than 400
 */
export function directionArrows(arc: Arc, gap: number): readonly DirectionArrow[] {
  const { length } = measureArc(arc);
  if (length === 0) return [];
  const count = Math.min(MAX_ARROWS, Math.max(1, Math.floor(length / gap)));
  return Array.from({ length: count }, (_, i) => pointAtDistance(arc, (length * (i + 0.5)) / count));
}

export interface CombTooth {
  readonly x: number;
  readonly y: number;
  readonly tipX: number;
  readonly tipY: number;
}

/**
 * The curvature comb of an arc: teeth on the outside of the bend, as long as the bend is tight.
 * @param teeth how many, ≥ 2
 * @param longest length of the longest tooth, field units; the others are in proportion to their
 *   curvature, and a bend tighter than `tightest` counts as that
 * @param tightest curvature, 1 / field units
 */
export function curvatureComb(
  arc: Arc,
  teeth: number,
  longest: number,
  tightest: number,
): readonly CombTooth[] {
  const { length } = measureArc(arc);
  if (length === 0) return [];
  const found = Array.from({ length: teeth }, (_, i) => {
    const s = (length * i) / (arc.closed ? teeth : teeth - 1);
    const curvature = Math.min(tightest, Math.max(-tightest, curvatureAtDistance(arc, s)));
    return { point: pointAtDistance(arc, s), curvature };
  });
  const most = Math.max(...found.map(({ curvature }) => Math.abs(curvature)));
  return found.map(({ point: { x, y, headingDeg }, curvature }) => {
    const reach = most > 0 ? (curvature / most) * longest : 0;
    const heading = (headingDeg * Math.PI) / 180;
    // Turning clockwise as seen, the outside is to the left of the travel.
    return { x, y, tipX: x + Math.sin(heading) * reach, tipY: y - Math.cos(heading) * reach };
  });
}
