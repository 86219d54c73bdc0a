import { type Arc, type ArcPoint, measureArc } from '@humble/core';
import { activeArcIn } from '../../../store/hooks';
import type { RootState } from '../../../store/store';

const directionsOf = new WeakMap<Arc, readonly number[]>();

export const pointIn = (state: RootState, id: string): ArcPoint | undefined =>
  activeArcIn(state)?.points.find((point) => point.id === id);

/** Where a point lies and how it is turned: in line with the arc, corners by 45° more. */
export function pointTransform(state: RootState, index: number): string {
  const arc = activeArcIn(state);
  const point = arc?.points[index];
  if (!arc || !point) return '';
  const turn = directions(arc)[index]! + (point.kind === 'corner' ? 45 : 0);
  return `translate(${point.x} ${point.y}) rotate(${turn})`;
}

/** Direction of the arc at each of its points, degrees. */
export function directions(arc: Arc): readonly number[] {
  const known = directionsOf.get(arc);
  if (known) return known;
  const { segments } = measureArc(arc);
  const found = arc.points.map((_, i) => {
    const leaving = segments[i];
    if (leaving) return leaving.headingDeg[0] ?? 0;
    const arriving = segments[i - 1]?.headingDeg;
    return arriving?.[arriving.length - 1] ?? 0;
  });
  directionsOf.set(arc, found);
  return found;
}
