import type { Vector } from '../arc/vector';
import type { Move } from '../model/schema';
import type { TrackValues } from '../timing/tracks/trackValues';

interface Places {
  readonly x: Float64Array;
  readonly y: Float64Array;
}

/**
 * An offset as a displacement in the field: as it is, or turned with the arc's direction when the figure rides with it,
 * its first number forward then and its second to the right.
 * @param directionDeg clockwise as seen
 */
export function offsetInField(offsetIn: Move['offsetIn'], { x, y }: Vector, directionDeg: number): Vector {
  if (offsetIn === 'field') return { x, y };
  const radians = (directionDeg * Math.PI) / 180;
  const [cos, sin] = [Math.cos(radians), Math.sin(radians)];
  return { x: x * cos - y * sin, y: x * sin + y * cos };
}

export const offsetFrom = (offsetIn: Move['offsetIn'], by: Vector, directionDeg: number): Vector =>
  offsetInField(offsetIn, by, -directionDeg);

/**
 * Where the pivot stands on each frame.
 * @param direction of the arc on each frame, degrees
 * @returns the places themselves where nothing is offset
 */
export function offsetPlaces(
  { tracks: keys, offsetIn }: Pick<Move, 'tracks' | 'offsetIn'>,
  places: Places,
  direction: Float64Array,
  tracks: TrackValues,
): Places {
  if (keys.offsetX.length === 0 && keys.offsetY.length === 0) return places;
  const x = places.x.slice();
  const y = places.y.slice();
  for (let i = 0; i < x.length; i++) {
    const by = offsetInField(offsetIn, { x: tracks.offsetX[i]!, y: tracks.offsetY[i]! }, direction[i]!);
    x[i]! += by.x;
    y[i]! += by.y;
  }
  return { x, y };
}
