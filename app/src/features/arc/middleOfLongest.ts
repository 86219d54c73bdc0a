import { type Arc, measureArc, pointAtDistance } from '@humble/core';

export function middleOfLongest(arc: Arc): { segment: number; t: number } {
  const { segments, startDistance } = measureArc(arc);
  const longest = segments.reduce((best, table, i) => (table.length > segments[best]!.length ? i : best), 0);
  const { t } = pointAtDistance(arc, startDistance[longest]! + segments[longest]!.length / 2);
  return { segment: longest, t };
}
