import { pathData, type PointShape, type Vector } from '@humble/core';

/** What is being made, selected or measured: on top of everything, for as long as it lasts. */

export const polyline = (points: readonly Vector[]): string =>
  points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join('');

export const pathThrough = (points: readonly PointShape[], closed = false): string =>
  pathData({ points, closed });
