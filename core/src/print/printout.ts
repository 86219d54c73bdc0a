import type { PrintPage } from './paper';

/** Pages that are drawn when they are asked for: how many there are is known at once. */
export interface Printout {
  readonly count: number;
  /** @param index from 0 */
  readonly pageAt: (index: number) => PrintPage;
}

export function joined(printouts: readonly Printout[]): Printout {
  return {
    count: printouts.reduce((sum, { count }) => sum + count, 0),
    pageAt: (index) => {
      let rest = index;
      for (const { count, pageAt } of printouts) {
        if (rest < count) return pageAt(rest);
        rest -= count;
      }
      throw new RangeError(`There is no page ${index + 1}.`);
    },
  };
}
