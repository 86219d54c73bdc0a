import type { UnrolledArc } from '@humble/core/views';
import { at, type Axis, isInSight } from '../../../ui/axis';
import { type ViewTarget, draggable } from '../views/viewTargets';

/** What lies on the ruler, all on one line. */
export function rulerTargets({ ticks, posts }: UnrolledArc, along: Axis, y: number): ViewTarget[] {
  return [
    ...posts
      .filter(({ arcDistance }) => isInSight(along, arcDistance))
      .map((post): ViewTarget => ({ kind: 'mark', post, x: at(along, post.arcDistance), y })),
    ...draggable(ticks, posts)
      .filter(({ arcDistance }) => isInSight(along, arcDistance))
      .map(({ frame, arcDistance }): ViewTarget => ({ kind: 'tick', frame, x: at(along, arcDistance), y })),
  ];
}
