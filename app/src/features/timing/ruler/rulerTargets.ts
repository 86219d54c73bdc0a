import type { UnrolledArc } from '@humble/core';
import { at, type Axis, isInSight } from '../../../ui/axis';
import { type ViewTarget, draggable } from '../views/viewTargets';

/** What lies on the ruler, all on one line. */
export function rulerTargets({ ticks, posts }: UnrolledArc, along: Axis, y: number): ViewTarget[] {
  return [
    ...posts
      .filter(({ place }) => isInSight(along, place))
      .map((post): ViewTarget => ({ kind: 'mark', post, x: at(along, post.place), y })),
    ...draggable(ticks, posts)
      .filter(({ place }) => isInSight(along, place))
      .map(({ frame, place }): ViewTarget => ({ kind: 'tick', frame, x: at(along, place), y })),
  ];
}
