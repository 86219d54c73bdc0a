import type { Figure, Rider } from '../model/schema';
import { lookOf } from './look';

export type Taper = 'even' | 'ratio';

/** Of a chain of parts, its first the figure itself. */
export interface ChainPlan {
  readonly count: number;
  /** Between the pivots of neighbours: field units, frames, or as far as the parts are long. */
  readonly gap: { readonly distance: number } | { readonly frames: number } | 'nose-to-tail';
  /** Size of the last part, percent of the first. */
  readonly toPercent: number;
  readonly taper: Taper;
  /** Whether it lies behind the start on a straight line that goes on from there, or waits in a heap; laid out without it. */
  readonly isLaidOut?: boolean;
}

export function taperedSize({ count, toPercent, taper }: Omit<ChainPlan, 'gap'>, part: number): number {
  const share = count > 1 ? (part - 1) / (count - 1) : 0;
  return taper === 'even' ? 100 + (toPercent - 100) * share : 100 * (toPercent / 100) ** share;
}

/** How far what is seen of a figure reaches ahead of its pivot and behind it along its front, field units. */
export function reachOf(figure: Figure, height: number): { readonly ahead: number; readonly behind: number } {
  const look = lookOf(figure);
  const radians = (figure.frontDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const numbers = (look.silhouette.match(/-?[\d.]+/g) ?? []).map(Number);
  let [ahead, behind] = [0, 0];
  for (let i = 0; i + 1 < numbers.length; i += 2) {
    const along = (numbers[i]! - look.pivot.x) * cos + (numbers[i + 1]! - look.pivot.y) * sin;
    ahead = Math.max(ahead, along);
    behind = Math.max(behind, -along);
  }
  const k = height / look.height;
  return { ahead: ahead * k, behind: behind * k };
}

/**
 * How each part of a chain after the first follows the figure.
 * @param height of the figure at 100 %, field units
 * @returns sizes in percent, and distances behind the figure (negative) or frames, part by part
 */
export function chainParts(
  figure: Figure,
  height: number,
  plan: ChainPlan,
): readonly Pick<Rider, 'sizePercent' | 'follows'>[] {
  const { gap, count } = plan;
  const { ahead, behind } = reachOf(figure, height);
  let distance = 0;
  return Array.from({ length: count - 1 }, (_, i) => {
    const [before, sizePercent] = [taperedSize(plan, i + 1), taperedSize(plan, i + 2)];
    if (gap === 'nose-to-tail') distance -= (behind * before + ahead * sizePercent) / 100;
    else if ('distance' in gap) distance -= gap.distance;
    else return { sizePercent, follows: { by: 'frames', frames: gap.frames * (i + 1) } as const };
    return { sizePercent, follows: { by: 'distance', distance } as const };
  });
}
