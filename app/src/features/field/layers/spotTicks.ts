import type { Tick, TrailPlace } from '@humble/core/views';

/** A tick across the path of a followed spot: by the places before and after. */
export function tickAt(
  places: readonly TrailPlace[],
  i: number,
): Pick<Tick, 'x' | 'y' | 'acrossX' | 'acrossY'> {
  const [a, b] = [places[Math.max(0, i - 1)]!, places[Math.min(places.length - 1, i + 1)]!];
  const at = places[i]!;
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  return { x: at.x, y: at.y, acrossX: -(b.y - a.y) / length, acrossY: (b.x - a.x) / length };
}
