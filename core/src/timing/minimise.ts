type Parameters = readonly number[];

const STEPS_PER_DIMENSION = 120;
const SMALL = 1e-10;

const blend = (from: Parameters, to: Parameters, share: number): Parameters =>
  from.map((value, i) => value + (to[i]! - value) * share);

/**
 * The place near a start where a function of a few numbers is least, by the downhill simplex (Nelder and
 * Mead, "A simplex method for function minimization", The Computer Journal 1965).
 * @param start where to begin, and how far to step at first in each direction
 */
export function minimise(
  cost: (parameters: Parameters) => number,
  start: Parameters,
  step: Parameters,
): Parameters {
  let simplex = [
    start,
    ...start.map((_, i) => start.map((value, j) => value + (i === j ? step[i]! : 0))),
  ].map((at) => ({ at, cost: cost(at) }));
  const tried = (at: Parameters) => ({ at, cost: cost(at) });
  for (let i = 0; i < STEPS_PER_DIMENSION * start.length; i++) {
    simplex.sort((a, b) => a.cost - b.cost);
    const [best, worst] = [simplex[0]!, simplex[simplex.length - 1]!];
    if (worst.cost - best.cost < SMALL * (SMALL + Math.abs(best.cost))) break;
    const others = simplex.slice(0, -1);
    const middle = start.map((_, k) => others.reduce((sum, { at }) => sum + at[k]!, 0) / others.length);
    const reflected = tried(blend(middle, worst.at, -1));
    let next = reflected;
    if (reflected.cost < best.cost) {
      const further = tried(blend(middle, worst.at, -2));
      if (further.cost < reflected.cost) next = further;
    } else if (reflected.cost >= others[others.length - 1]!.cost) {
      next = tried(blend(middle, reflected.cost < worst.cost ? reflected.at : worst.at, 0.5));
      if (next.cost >= Math.min(reflected.cost, worst.cost)) {
        simplex = [best, ...simplex.slice(1).map(({ at }) => tried(blend(best.at, at, 0.5)))];
        continue;
      }
    }
    simplex = [...others, next];
  }
  return simplex.reduce((least, one) => (one.cost < least.cost ? one : least)).at;
}
