import { type Arc, measureArc, placeAt } from '@humble/core';

/** Where a point that is asked for by button goes: the middle of the longest stretch, by length. */
export function middleOfLongest(arc: Arc): { stretch: number; t: number } {
  const { stretches, startDistance } = measureArc(arc);
  const longest = stretches.reduce(
    (best, table, i) => (table.length > stretches[best]!.length ? i : best),
    0,
  );
  const { t } = placeAt(arc, startDistance[longest]! + stretches[longest]!.length / 2);
  return { stretch: longest, t };
}
