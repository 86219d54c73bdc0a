import { type Arc, type ArcPoint, measureArc, type Vector } from '@humble/core';
import type { RootState } from '../../../store/store';
import { selectActiveArc } from '../../../store/selectors/active';

const directionsOf = new WeakMap<Arc, readonly number[]>();

export const selectPoint = (state: RootState, id: string): ArcPoint | undefined =>
  selectActiveArc(state)?.points.find((point) => point.id === id);

export interface TurnedPlace extends Vector {
  readonly turnDeg: number;
}

export function selectPlaceOfPoint(state: RootState, index: number): TurnedPlace | null {
  const arc = selectActiveArc(state);
  const point = arc?.points[index];
  if (!arc || !point) return null;
  return { x: point.x, y: point.y, turnDeg: directions(arc)[index]! + (point.kind === 'corner' ? 45 : 0) };
}

/** Lines about a place, turned with it, as path data. @param lines the corners of each, from the place on */
export function linesAbout(place: TurnedPlace, lines: readonly (readonly Vector[])[]): string {
  const radians = (place.turnDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  const written = ({ x, y }: Vector): string =>
    `${(place.x + cos * x - sin * y).toFixed(3)} ${(place.y + sin * x + cos * y).toFixed(3)}`;
  return lines.map((line) => `M${line.map(written).join('L')}`).join('');
}

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
