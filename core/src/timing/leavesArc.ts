import type { Arc, Mark } from '../model/schema';
import { easedDistance } from './easedDistance';

/** Less of an arc than this past its end is none. */
const NO_WAY = 1e-9;

/**
 * Whether a span would lead past an end of its open arc on one of its frames, as one that winds up does at the
 * arc's start. There is nothing to travel on there: the figure waits at the end.
 */
export function leavesArc({ closed }: Pick<Arc, 'closed'>, from: Mark, to: Mark): boolean {
  if (closed) return false;
  const frames = to.frame - from.frame;
  const displacement = to.fraction - from.fraction;
  for (let x = 1; x < frames; x++) {
    const fraction = from.fraction + easedDistance(from.easing, x, frames, displacement);
    if (fraction < -NO_WAY || fraction > 1 + NO_WAY) return true;
  }
  return false;
}
